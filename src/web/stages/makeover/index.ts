export { LabelsPage } from './LabelsPage';
export { MakeoverPage } from './MakeoverPage';
