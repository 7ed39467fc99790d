import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { formatLoss, plural } from '@cordel/core';
import { usePerson } from '@/data/storage';
import { useWork } from '@/data/queries';
import type { Work } from '@/data/setting';
import { useProjectView } from '@/projects/context';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useKeys } from '@/ui/keys';
import { FONTS, useInks } from '@/ui/theme';
import { Hands } from './Hands';
import { Keypad } from './Keypad';
import { MeasureKind } from './MeasureKind';
import { NamePanel } from './NamePanel';
import { SkipSheet } from './SkipSheet';
import type { BenchMode } from './draft';
import { type Bench, useBench } from './useBench';

const MODES: Record<BenchMode, string> = { splice: 'Splice', redo: 'Redo', measure: 'Measure' };

/** The one thing to do now at one closure. */
export function BenchPage() {
  const { closureId, mode } = useLocalSearchParams<{ closureId: string; mode?: string }>();
  const work = useWork(closureId);
  const [person] = usePerson();
  const known: BenchMode = mode === 'redo' || mode === 'measure' ? mode : 'splice';
  if (!work.data) {
    return (
      <View role="main" style={{ padding: 16 }}>
        <Waiting
          error={work.error}
          retry={<Press label="Try again" look="next" onPress={() => void work.refetch()} />}
        />
      </View>
    );
  }
  if (person.trim() === '') return <NamePanel />;
  return <AtTheBench key={`${closureId} ${known}`} work={work.data} mode={known} />;
}

function AtTheBench({ work, mode }: { work: Work; mode: BenchMode }) {
  const inks = useInks();
  const bench = useBench(work, mode);
  const [skipping, setSkipping] = useState(false);
  const { splice } = useLocalSearchParams<{ splice?: string }>();
  const router = useRouter();
  // A link to one splice takes its sleeve in hand, once.
  useEffect(() => {
    const wanted = bench.splices.find((entry) => entry.id === splice);
    if (!wanted) return;
    bench.go(`${wanted.tray}.${wanted.slot}`);
    router.setParams({ splice: undefined });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the link counts when it changes, not when the bench does
  }, [splice]);
  useKeys(
    useCallback(
      (key: string) => {
        if (skipping || bench.finished) return false;
        if (/^[0-9.]$/.test(key)) bench.type(key);
        else if (key === 'Backspace') bench.type('back');
        else if (key === '-') bench.type('sign');
        else if (key === 'Enter') bench.keep(false);
        else if (key === 'r' && mode !== 'measure') bench.keep(true);
        else if (key === 's') setSkipping(true);
        else if (key === 'u') bench.undo();
        else return false;
        return true;
      },
      [bench, skipping, mode],
    ),
  );
  return (
    <ScrollView
      role="main"
      tabIndex={0}
      style={{ flex: 1, backgroundColor: inks.paper }}
      contentContainerStyle={{
        padding: 14,
        gap: 10,
        width: '100%',
        maxWidth: 560,
        alignSelf: 'center',
      }}
    >
      <BenchHead bench={bench} work={work} />
      {mode === 'measure' ? <MeasureKind bench={bench} /> : null}
      {bench.finished ? (
        <Finished bench={bench} work={work} />
      ) : (
        <InHand bench={bench} onSkip={() => setSkipping(true)} />
      )}
      <SkipSheet bench={bench} visible={skipping} onClose={() => setSkipping(false)} />
    </ScrollView>
  );
}

function BenchHead({ bench, work }: { bench: Bench; work: Work }) {
  const inks = useInks();
  const total = bench.splices.length;
  const { sleeve, fiber } = bench;
  return (
    <View style={{ gap: 6 }}>
      <View
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          gap: 8,
        }}
      >
        <Txt kind="name" heading={1} style={{ flexShrink: 1 }}>
          {work.closure.name}
        </Txt>
        <Txt kind="strong">
          {`${bench.mode === 'splice' ? `${bench.done} of ${total}` : `${MODES[bench.mode]}: ${bench.waiting} left`}${sleeve ? ` · tray ${sleeve.tray} slot ${sleeve.slot}` : ''}`}
        </Txt>
      </View>
      <View
        style={{ height: 8, borderWidth: 1, borderColor: inks.ink, backgroundColor: inks.leaf }}
        role="progressbar"
        aria-label="Spliced"
        aria-valuenow={bench.done}
        aria-valuemin={0}
        aria-valuemax={total}
      >
        <View
          style={{
            height: '100%',
            width: `${total === 0 ? 0 : (100 * bench.done) / total}%`,
            backgroundColor: inks.ink,
          }}
        />
      </View>
      {fiber && sleeve?.method === 'mass' ? (
        <Txt>{`Ribbon of ${sleeve.splices.length}, one ribbon sleeve`}</Txt>
      ) : null}
    </View>
  );
}

function InHand({ bench, onSkip }: { bench: Bench; onSkip(): void }) {
  const inks = useInks();
  const { said, sleeve } = bench;
  const last = bench.draft.last;
  return (
    <>
      <Hands bench={bench} />
      {sleeve?.method === 'mass' ? <RibbonCells bench={bench} /> : null}
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
          borderWidth: 2,
          borderColor: inks.ink,
          backgroundColor: inks.leaf,
          paddingHorizontal: 14,
          height: 62,
        }}
      >
        <Txt kind="figure" aria-live="polite" role="status" aria-label="Loss typed">
          {face(bench)}
        </Txt>
        <Txt>{bench.mode === 'measure' ? `dB at ${bench.nm} nm` : 'dB estimate'}</Txt>
      </View>
      {said ? (
        <Notice
          word={said.word}
          ink={said.tone === 'good' ? 'green' : said.tone === 'bad' ? 'accent' : 'ink'}
          live
        >
          {said.detail}
        </Notice>
      ) : null}
      <Keypad onKey={bench.type} signed={bench.mode === 'measure'} />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {bench.mode === 'measure' ? null : (
          <Press
            label="Redo"
            look={said?.redo ? 'next' : 'plain'}
            onPress={() => bench.keep(true)}
            style={{ flex: said?.redo ? 2 : 1, height: 58 }}
            textSize={19}
          />
        )}
        <Press
          label={keepLabel(bench)}
          look={said?.redo ? 'plain' : 'next'}
          onPress={() => bench.keep(false)}
          style={{ flex: said?.redo ? 1 : 2, height: 58 }}
          textSize={20}
        />
      </View>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Press label="Skip" look="bare" icon="debug-step-over" onPress={onSkip} />
        {last ? (
          <Press label={`Undo ${last.words}`} look="bare" icon="undo" onPress={bench.undo} />
        ) : null}
      </View>
      <Txt kind="small" ink="ink2">
        Shards into the closed container, eyes covered. No solvent near the arc or the heater. Never
        look into a fiber end. Follow local codes and your company’s practice.
      </Txt>
    </>
  );
}

const keepLabel = (bench: Bench): string =>
  bench.sleeve?.method === 'mass' && !bench.allTyped ? 'Next fiber' : 'Keep, next';

/** The figure as it will be kept, or what is typed where it is no figure yet. */
function face(bench: Bench): string {
  if (bench.keys === '') return '–.––';
  const loss = bench.fiber ? bench.read(bench.fiber) : null;
  return loss?.ok && !bench.keys.includes('.')
    ? formatLoss(loss.value)
    : bench.keys.replace('-', '\u2212');
}

/** The twelve figures of a ribbon; a tap goes to that fiber. */
function RibbonCells({ bench }: { bench: Bench }) {
  const inks = useInks();
  const { sleeve } = bench;
  const change = (cursor: number) => bench.change({ sleeve: sleeve!.key, cursor });
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 3 }}
      role="group"
      aria-label="Estimates of the ribbon"
    >
      {bench.fibers.map((splice, index) => {
        const loss = bench.read(splice);
        const here = index === bench.cursor;
        const ink = here ? inks.leaf : inks.ink;
        const limit = bench.mode === 'measure' ? null : bench.limits.splice.estimate[splice.method];
        const over = loss.ok && limit !== null && loss.value > limit;
        return (
          <Pressable
            key={splice.id}
            role="button"
            aria-label={`Fiber ${splice.fiberA}, ${loss.ok ? `${formatLoss(loss.value)} dB${over ? ', over' : ''}` : 'to type'}`}
            onPress={() => change(index)}
            style={{
              width: '15.9%',
              height: 48,
              alignItems: 'center',
              justifyContent: 'center',
              backgroundColor: here ? inks.ink : inks.leaf,
              borderWidth: over ? 3 : 1,
              borderColor: over ? inks.accent : inks.ink,
            }}
          >
            <Txt kind="small" style={{ color: ink, lineHeight: 17 }}>
              {splice.fiberA}
            </Txt>
            <Txt style={{ color: ink, fontFamily: FONTS.bold, lineHeight: 19 }}>
              {loss.ok ? `${formatLoss(loss.value)}${over ? '!' : ''}` : '–'}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
}

function Finished({ bench, work }: { bench: Bench; work: Work }) {
  const { project } = useProjectView();
  const router = useRouter();
  const go = (path: string) => router.replace(`/p/${project.id}/${path}` as never);
  const redo = bench.splices.filter((splice) => splice.judgement.redo).length;
  const title = {
    splice: 'All spliced',
    redo: 'Nothing to redo',
    measure: 'Nothing left to measure this way',
  }[bench.mode];
  return (
    <Empty
      title={title}
      action={
        <View style={{ gap: 10, alignItems: 'stretch' }}>
          {bench.mode !== 'redo' && redo > 0 ? (
            <Press
              look="next"
              label={`Redo ${plural(redo, 'splice')}`}
              onPress={() => go(`bench/${work.closure.id}?mode=redo`)}
            />
          ) : null}
          {bench.mode !== 'measure' ? (
            <Press
              label="Add measured figures"
              onPress={() => go(`bench/${work.closure.id}?mode=measure`)}
            />
          ) : null}
          <Press label="See the closure" onPress={() => go(`route/${work.closure.id}`)} />
          {bench.draft.last ? (
            <Press label={`Undo ${bench.draft.last.words}`} icon="undo" onPress={bench.undo} />
          ) : null}
        </View>
      }
    >
      {`${bench.done} of ${bench.splices.length} splices are done here.`}
    </Empty>
  );
}
