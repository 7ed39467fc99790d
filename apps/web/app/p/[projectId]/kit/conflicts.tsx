export { ConflictsPage as default } from '@/conflicts/ConflictsPage';
