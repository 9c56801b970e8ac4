export { ArrangePage } from './ArrangePage';
export { HangPage } from './HangPage';
