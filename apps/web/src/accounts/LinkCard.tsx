import { useState } from 'react';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { QrPicture } from '@/ui/QrPicture';
import { Text } from '@/ui/Text';

/** A link that works once, to be scanned or copied. */
export function LinkCard({ secret, says }: { secret: string; says: string }) {
  const [isCopied, setCopied] = useState(false);
  const link = `${window.location.origin}/join#${secret}`;
  return (
    <Card style={{ gap: 10, alignItems: 'flex-start' }}>
      <Text>{says}</Text>
      <QrPicture text={link} label={t('qrOfLink')} size={240} />
      <Text kind="small" color="ink2" style={{ overflowWrap: 'anywhere' } as object}>
        {link}
      </Text>
      <Button
        label={isCopied ? t('copied') : t('copyLink')}
        onPress={() => void navigator.clipboard?.writeText(link).then(() => setCopied(true))}
      />
    </Card>
  );
}
