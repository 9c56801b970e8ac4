export { MakeoverPage } from './MakeoverPage';
