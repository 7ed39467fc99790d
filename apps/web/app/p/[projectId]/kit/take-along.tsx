export { TakeAlongPage as default } from '@/takeAlong/TakeAlongPage';
