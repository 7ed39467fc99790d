import { useEffect, useState } from 'react';
import { type SplicerContact, lastHeardAt, splicerContact } from '@cordel/core';
import { splicerContactTexts as t } from '@cordel/text/pages/bench/splicerContact';
import type { Station } from './useStation';

function contactText(contact: SplicerContact, isConnected: boolean): string {
  if (!isConnected) return t('noConnection');
  if (contact.code === 'none') return t('nothingReceived');
  const { minutes } = contact;
  const ago =
    minutes < 60 ? t('minutes', { minutes }) : t('hours', { hours: Math.floor(minutes / 60) });
  return contact.code === 'live' ? t('live', { ago }) : t('lastRecordAgo', { ago });
}

/** Whether records of a splicer come in, and when the last one did; renewed twice a minute. */
export function useContact(station: Station, splicerId: string | null): string {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 30_000);
    return () => clearInterval(timer);
  }, []);
  const last = lastHeardAt(station.records, splicerId);
  return contactText(splicerContact(last, now), station.live);
}
