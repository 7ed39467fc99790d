import { useState } from 'react';
import { View } from 'react-native';
import {
  type Direction,
  type MeterUnit,
  type Reference,
  UNCORRECTED,
  formatLoss,
  lossBy,
  readMeter,
  readReturnLoss,
} from '@cordel/core';
import { meterProblemText } from '@cordel/text/links';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { Keypad } from '@/bench/Keypad';
import { useProjectView } from '@/projects/context';
import { usePersisted } from '@/data/storage';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Field';
import { Text } from '@/ui/Text';
import { FONTS } from '@/ui/theme';
import { type ShownLink, type Unsigned, recordLinks } from './useLinks';

/** What is typed: power or loss against the reference, or what comes back. */
type Shows = MeterUnit | 'return loss';

interface MeasurePartProps {
  link: ShownLink;
  nm: number;
  direction: Direction;
  reference: Reference;
  cableId: string;
  /** No other fiber is left to be measured so. */
  isLast: boolean;
  onGo(by: 1 | -1): void;
  onDone(): void;
}

/** The fiber in hand: what the meter shows is typed with a thumb, and recorded; the next fiber follows. */
export function MeasurePart(props: MeasurePartProps) {
  const { link, nm, direction, reference, cableId, isLast, onGo, onDone } = props;
  const { project } = useProjectView();
  const [kept, setKept] = usePersisted('cordel.meter-shows', 'dBm');
  const shows = kept as Shows;
  const [keys, setKeys] = useState('');
  const typed = typedBy(keys, shows);
  const unit = shows === 'dBm' ? 'dBm' : 'dB';
  const isReturn = shows === 'return loss';
  const back = readReturnLoss(typed);
  const through = readMeter(typed, isReturn ? 'dB' : shows, reference);
  const read = isReturn ? back : through;
  const [from, to] = direction === 'AB' ? [link.from, link.to] : [link.to, link.from];
  const record = () => {
    const common = { cableId, fiber: link.fiber, direction, ...UNCORRECTED };
    const { meter } = reference;
    const entry: Unsigned | null = isReturn
      ? back.ok
        ? { kind: 'return loss', ...common, wavelengthNm: nm, meter, lossMdb: back.value }
        : null
      : through.ok
        ? { kind: 'loss', ...common, referenceId: reference.id, ...through.value }
        : null;
    if (!entry) return;
    recordLinks(project.id, [entry], t('theLossOf', { label: link.label }));
    setKeys('');
    onDone();
  };
  return (
    <Card style={{ gap: 10, maxWidth: 560 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Button label={t('previousFiber')} icon="chevron-left" onPress={() => onGo(-1)}>
          <></>
        </Button>
        <Text kind="name" heading={2} style={{ flex: 1, textAlign: 'center' }}>
          {t('fiberFromTo', { fiber: link.fiber, from, to })}
        </Text>
        <Button label={t('nextFiber')} icon="chevron-right" onPress={() => onGo(1)}>
          <></>
        </Button>
      </View>
      <Choice<Shows>
        label={t('meterShows')}
        value={shows}
        options={[
          { value: 'dBm', label: 'dBm' },
          { value: 'dB', label: 'dB' },
          { value: 'return loss', label: t('returnLoss') },
        ]}
        onChange={(value) => {
          setKept(value);
          setKeys('');
        }}
      />
      <Text
        aria-live="polite"
        style={{ fontFamily: FONTS.bold, fontSize: 34, lineHeight: 42, textAlign: 'center' }}
      >
        {`${keys === '' ? '–' : typed.replace('-', '−')} ${unit}`}
      </Text>
      <Text
        aria-live="polite"
        style={{ textAlign: 'center', minHeight: 22 }}
        color={!read.ok && keys !== '' ? 'accent' : 'ink2'}
      >
        {keys === ''
          ? t('typeWhatTheMeterShows')
          : !read.ok
            ? meterProblemText(read.error)
            : isReturn && back.ok
              ? t('returnsAt', { loss: formatLoss(back.value) })
              : through.ok
                ? t('lossIs', { loss: formatLoss(lossBy(through.value, reference)) })
                : ''}
      </Text>
      <Keypad signed={shows === 'dBm'} onKey={(key) => setKeys(press(keys, key))} />
      <Button
        label={isLast ? t('record') : t('recordAndNext')}
        look="next"
        disabled={!read.ok}
        onPress={record}
      />
    </Card>
  );
}

const MOST_KEYS = 6;

/** Keys after one more: `+` in front turns the sign over. */
function press(keys: string, key: string): string {
  if (key === 'back') return keys.slice(0, -1);
  if (key === 'sign') return keys.startsWith('+') ? keys.slice(1) : `+${keys}`;
  if (keys.length >= MOST_KEYS || (key === '.' && keys.includes('.'))) return keys;
  return keys + key;
}

/** Digits alone are hundredths, as meters show them; powers are below zero unless their sign is turned. */
function typedBy(keys: string, shows: Shows): string {
  const digits = keys.replace('+', '');
  if (digits === '') return '';
  const figure = digits.includes('.') ? digits : (Number(digits) / 100).toFixed(2);
  return shows === 'dBm' && !keys.startsWith('+') ? `-${figure}` : figure;
}
