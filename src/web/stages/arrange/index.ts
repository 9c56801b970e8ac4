export { ArrangePage } from './ArrangePage';
export { ChoosePage } from './ChoosePage';
export { HangPage } from './HangPage';
export { PhotoPage } from './PhotoPage';
