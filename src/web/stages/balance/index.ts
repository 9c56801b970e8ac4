export { BalancePage } from './BalancePage';
export { FirstRemedy } from './FirstRemedy';
export { ShoppingListPage } from './ShoppingListPage';
export { WorthMeasuringNext } from './WorthMeasuringNext';
