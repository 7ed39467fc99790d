import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { useOutbox } from '@/data/client';
import { type Session, useSession } from '@/data/session';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { SignInForm } from './SignInForm';
import { TurnPart } from './TurnPart';

const WHY = {
  lockedOut: { word: t('whyLockedOut'), text: t('lockedOut') },
  otherDevice: { word: t('whyOtherDevice'), text: t('otherDevice') },
  otherPerson: { word: t('whyOtherPerson'), text: t('otherPerson') },
};

/** Asks who works on this device, before anything is shown. */
export function SignInPage({ why }: { why: Session['why'] }) {
  const { writes } = useOutbox();
  const isShared = (useSession()?.here.length ?? 0) > 0;
  const reason = why && why !== 'signedOut' ? WHY[why] : null;
  const people = [...new Set(writes.map(({ person }) => person))];
  return (
    <Page title={t('signIn')} above={t('cordel')}>
      {reason ? (
        <Notice word={reason.word} color="accent">
          {reason.text}
        </Notice>
      ) : null}
      {writes.length > 0 ? (
        <Notice>{t('waitingHere', { count: writes.length, people: people.join(', ') })}</Notice>
      ) : null}
      {isShared ? <TurnPart /> : <SignInForm />}
      <Text color="ink2">{t('noAccountYet')}</Text>
      <Text color="ink2">{t('forgotten')}</Text>
    </Page>
  );
}
