export { HuntingListPage } from './HuntingListPage';
export { SketchPage } from './SketchPage';
