import { lazyPage } from '@/ui/lazyPage';

export default lazyPage(async () => (await import('@/chain/RecordPage')).RecordPage);
