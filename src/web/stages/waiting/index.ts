export { WaitingPage } from './WaitingPage';
