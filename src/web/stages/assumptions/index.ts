export { AssumptionsPage } from './AssumptionsPage';
