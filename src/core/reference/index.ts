export { referenceOutlook, referenceRun, type Looked } from './helm';
