export { CardPage } from './card/CardPage';
export { HuntPage } from './HuntPage';
export { Receipt } from './Receipt';
