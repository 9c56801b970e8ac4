export { BenchPage } from './BenchPage';
export { HoursPage } from './HoursPage';
export { LogPage } from './LogPage';
export { StepPage } from './StepPage';
