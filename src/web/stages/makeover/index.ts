export { MachinePage } from './artwork/MachinePage';
export { Caution } from './Caution';
export { CutPage } from './cut/CutPage';
export { LabelsPage } from './LabelsPage';
export { MakeoverPage } from './MakeoverPage';
export { RecolorPage } from './prints/RecolorPage';
