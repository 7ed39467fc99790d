export { InstrumentsPage as default } from '@/kit/InstrumentsPage';
