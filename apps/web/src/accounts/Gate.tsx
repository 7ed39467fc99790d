import { usePathname } from 'expo-router';
import { type ReactNode, useEffect } from 'react';
import { renewSession } from '@/data/signIn';
import { useSession } from '@/data/session';
import { SignInPage } from './SignInPage';

/** Pages that are for whoever has their link. */
const OPEN_PATHS = ['/join'];

/** The pages below, for who has signed in where people sign in. */
export function Gate({ children }: { children: ReactNode }) {
  const session = useSession();
  const path = usePathname();
  useEffect(() => {
    const renew = () => void renewSession().catch(() => undefined);
    renew();
    window.addEventListener('online', renew);
    return () => window.removeEventListener('online', renew);
  }, []);
  const isFor = !session?.accounts || session.person !== null || OPEN_PATHS.includes(path);
  return isFor ? children : <SignInPage why={session.why} />;
}
