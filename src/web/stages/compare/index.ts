export { ComparePage } from './ComparePage';
export { PurseWhy } from './PurseWhy';
export { WaysPage } from './WaysPage';
export { WhyTree } from './WhyTree';
