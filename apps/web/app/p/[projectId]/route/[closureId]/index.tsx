export { ClosurePage as default } from '@/route/ClosurePage';
