export { HousePage, HouseStage } from './HousePage';
