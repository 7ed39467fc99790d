export { CircuitPage as default } from '@/traces/view/CircuitPage';
