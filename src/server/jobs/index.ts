export { Jobs } from './jobs';
export { prepareQueue } from './queue';
export { type Search, searchInThread } from './search';
export { searchHere } from './searchHere';
