export { HandoverPage as default } from '@/handover/HandoverPage';
