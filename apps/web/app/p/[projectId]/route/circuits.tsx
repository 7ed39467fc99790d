export { CircuitsPage as default } from '@/plan/CircuitsPage';
