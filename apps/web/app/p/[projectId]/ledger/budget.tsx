export { BudgetPage as default } from '@/traces/BudgetPage';
