export { PurseWhy } from './PurseWhy';
