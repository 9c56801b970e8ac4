export { DevicesPage } from './DevicesPage';
