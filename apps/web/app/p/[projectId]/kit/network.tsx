export { NetworkPage as default } from '@/kit/network/NetworkPage';
