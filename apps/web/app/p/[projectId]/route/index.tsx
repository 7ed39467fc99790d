export { RoutePage as default } from '@/route/RoutePage';
