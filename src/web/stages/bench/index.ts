export { BenchPage } from './BenchPage';
export { HoursPage } from './HoursPage';
export { StepPage } from './StepPage';
