import { lazyPage } from '@/ui/lazyPage';

export default lazyPage(async () => (await import('@/accounts/pages')).JoinPage);
