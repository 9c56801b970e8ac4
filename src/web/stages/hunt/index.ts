export { HuntPage } from './HuntPage';
export { Receipt } from './Receipt';
