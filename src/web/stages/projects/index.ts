export { ProjectsPage } from './ProjectsPage';
