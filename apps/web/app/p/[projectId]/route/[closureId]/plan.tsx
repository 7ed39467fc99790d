export { PlanPage as default } from '@/plan/PlanPage';
