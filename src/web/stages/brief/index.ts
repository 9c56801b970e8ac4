export { BriefPage } from './BriefPage';
export { NewProjectPage } from './NewProjectPage';
