import { useMemo } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { groupBy } from '@cordel/core';
import {
  type CutOverJob,
  type CutOverPlan,
  parseFibers,
  parseLive,
  planCutOver,
} from '@cordel/core/close';
import { circuitsProblemText, fiberNumbersProblemText } from '@cordel/text/close';
import { cutOverPart as t } from '@cordel/text/pages/closing/CutOverPart';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { usePersisted } from '@/data/storage';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { CutOverChart } from './CutOverChart';
import { nextClock } from './nextClock';
import type { Closing, ClosingHook } from './useClosing';

/** Minutes of a sleeve from break to seat; set by us, to be replaced by the crew's own. */
const USUAL = { single: 5, ribbon: 9 };
const RIBBON = 12;

/** The order of a cut-over of live fibers, with the time each circuit is down; kept with the record. */
export function CutOverPart({ closing, write }: { closing: Closing; write: ClosingHook['write'] }) {
  const closureId = closing.closure.id;
  const { timeZone } = useClock();
  const [fibers, setFibers] = usePersisted(`cordel.cutover.fibers.${closureId}`, '');
  const [live, setLive] = usePersisted(`cordel.cutover.live.${closureId}`, '');
  const [each, setEach] = usePersisted(`cordel.cutover.each.${closureId}`, String(USUAL.single));
  const [start, setStart] = usePersisted(`cordel.cutover.start.${closureId}`, '22:00');
  const [way, setWay] = usePersisted(`cordel.cutover.way.${closureId}`, 'single');
  const read = useMemo(() => readCutOver({ fibers, live, each, way }), [fibers, live, each, way]);
  const from = nextClock(start, new Date(), timeZone);
  const keep = () => {
    if (!read.ok || !from) return;
    const { steps } = read.value.plan;
    void write(
      [
        {
          kind: 'cut-over',
          sleeves: steps.map(({ job }) => ({ fibers: [...job.fibers], minutes: job.minutes })),
          circuits: read.value.live.map((circuit) => ({ ...circuit, fibers: [...circuit.fibers] })),
          start: from.toISOString(),
        },
      ],
      t('orderOfACutOver'),
    );
  };
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('cutOverOfLiveFibers')}
      </Text>
      <Text>{t('everythingThatCanBeMadeBefore')}</Text>
      <Text color="accent">{t('neverLookIntoALiveFiber')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={t('fibersToCutOver')}
          hint={t('byNumber11217')}
          value={fibers}
          onChange={setFibers}
        />
        <TextField label={t('minutesASleeve')} value={each} onChange={setEach} />
        <TextField
          label={t('firstBreakAt')}
          hint={t('suchAs2200')}
          value={start}
          onChange={setStart}
        />
        <TextField label={t('by')} hint={t('singleOrRibbon')} value={way} onChange={setWay} />
      </View>
      <TextInput
        mode="outlined"
        multiline
        label={t('circuitsInServiceALineEach')}
        aria-label={t('circuitsInServiceALineEach')}
        placeholder={t('clinic12DairyX35')}
        value={live}
        onChangeText={setLive}
        style={{ minHeight: 96 }}
      />
      {!read.ok ? (
        <Notice word={shared('notYet')}>{read.error}</Notice>
      ) : (
        <>
          <Notice word={read.value.plan.best ? t('theLeastTimeDown') : t('aGoodOrder')}>
            {orderWords(read.value.plan)}
          </Notice>
          {from ? (
            <>
              <CutOverChart plan={read.value.plan} start={from} />
              <Button label={t('saveThisOrderWithTheRecord')} look="next" onPress={keep} />
            </>
          ) : (
            <Notice word={shared('notYet')}>{t('firstBreakAtWriteATime')}</Notice>
          )}
        </>
      )}
    </Card>
  );
}

const orderWords = ({ steps, minutes, circuits, best }: CutOverPlan): string =>
  t('minFromTheFirstBreakLongest', {
    sleeves: steps.length,
    minutes,
    longest: Math.max(0, ...circuits.map((one) => one.minutes)),
    best: best ? '' : t('withSoManyThatHangTogether'),
  });

function readCutOver(typed: { fibers: string; live: string; each: string; way: string }) {
  if (typed.fibers.trim() === '')
    return { ok: false as const, error: t('sayWhichFibersAreCutOver') };
  const fibers = parseFibers(typed.fibers);
  if (!fibers.ok) return { ok: false as const, error: fiberNumbersProblemText(fibers.error) };
  const live = parseLive(typed.live);
  if (!live.ok) return { ok: false as const, error: circuitsProblemText(live.error) };
  const minutes = Number(typed.each);
  if (!(minutes > 0 && minutes <= 240))
    return { ok: false as const, error: t('minutesASleeveANumberUp') };
  return {
    ok: true as const,
    value: {
      live: live.value,
      plan: planCutOver(jobsOf(fibers.value, typed.way, minutes), live.value),
    },
  };
}

/** A sleeve a fiber, or the fibers of a ribbon on one. */
function jobsOf(fibers: readonly number[], way: string, minutes: number): CutOverJob[] {
  if (!/^ribbon/i.test(way.trim())) return fibers.map((fiber) => ({ fibers: [fiber], minutes }));
  const ribbons = groupBy(fibers, (fiber) => Math.ceil(fiber / RIBBON));
  return [...ribbons.values()].map((own) => ({ fibers: own, minutes }));
}
