export { ComparePage } from './ComparePage';
export { PlansPage } from './PlansPage';
export { PurseWhy } from './PurseWhy';
export { WaysPage } from './WaysPage';
export { WhyTree } from './WhyTree';
