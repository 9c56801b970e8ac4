export { BalancePage } from './BalancePage';
export { ShoppingListPage } from './ShoppingListPage';
