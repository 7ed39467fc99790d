export { LedgerPage as default } from '@/ledger/LedgerPage';
