import { type ReactNode, useState } from 'react';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { confirmSelf } from '@/data/signIn';
import { useSession } from '@/data/session';
import { TextField } from '@/ui/TextField';

/** A field for the PIN, or the password where there is no PIN, of whoever works here: what they sign is theirs. */
export function useConfirm(): {
  field: ReactNode;
  isFilled: boolean;
  /** @throws Error where it is wrong, or nobody can say */
  confirm(): Promise<void>;
} {
  const session = useSession();
  const [secret, setSecret] = useState('');
  const person = session?.person;
  const hasPin = session?.here.some(({ id, hasPin: has }) => id === person?.id && has) ?? false;
  if (!person) return { field: null, isFilled: true, confirm: () => Promise.resolve() };
  return {
    field: (
      <TextField
        label={hasPin ? t('pin') : t('password')}
        hint={t('confirmHint')}
        secret
        numeric={hasPin}
        value={secret}
        onChange={setSecret}
        onLeave={() => undefined}
      />
    ),
    isFilled: secret.length >= (hasPin ? 4 : 1),
    confirm: async () => {
      setSecret('');
      if (!(await confirmSelf(hasPin ? { pin: secret } : { password: secret })))
        throw new Error(t('wrongPinHere'));
    },
  };
}
