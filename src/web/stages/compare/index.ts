export { ComparePage } from './ComparePage';
export { PurseWhy } from './PurseWhy';
export { WhyTree } from './WhyTree';
