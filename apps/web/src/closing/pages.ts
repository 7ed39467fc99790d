// Pages that share the core of closing: one piece of code, loaded by whichever is opened first.
export { LabelsPage } from '@/labels/LabelsPage';
export { ScanPage } from '@/labels/ScanPage';
export { ClosePage } from './ClosePage';
