export { Caution } from './Caution';
