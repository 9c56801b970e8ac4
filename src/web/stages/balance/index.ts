export { FirstRemedy } from './FirstRemedy';
export { WorthMeasuringNext } from './WorthMeasuringNext';
