export { ArrangePage } from './ArrangePage';
