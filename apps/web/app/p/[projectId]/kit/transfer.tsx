export { TransferPage as default } from '@/transfer/TransferPage';
