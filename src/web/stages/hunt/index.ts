export { AdsPage } from './AdsPage';
export { CardPage } from './card/CardPage';
export { HuntPage } from './HuntPage';
export { MoneyPage } from './money/MoneyPage';
export { OffersPage } from './OffersPage';
export { PlacesPage } from './PlacesPage';
export { Receipt } from './Receipt';
export { TripsPage } from './TripsPage';
