import { View } from 'react-native';
import type { RedoAdvice } from '@cordel/core';
import { useWide } from '@/ui/useWide';
import { CautionRow } from './CautionRow';
import { EndPart } from './EndPart';
import { FigureRow } from './FigureRow';
import { Hands } from './Hands';
import { Keypad } from './Keypad';
import { MeasureKind } from './MeasureKind';
import { RibbonCells } from './RibbonCells';
import { SplicerKeys } from './SplicerKeys';
import { StepLine } from './StepLine';
import type { Bench } from './useBench';
import type { Records } from './useRecords';
import type { Setup } from './useSetup';
import type { Timers } from './useTimers';

interface InHandProps {
  bench: Bench;
  setup: Setup;
  timers: Timers;
  records: Records;
  advice: RedoAdvice | null;
  /** Whether records of the splicer are waited for. */
  isListening: boolean;
  /** What is missing to save; empty for nothing. */
  asked: string;
  onKey(key: string): void;
}

/** The splice in hand on one screen: which fibers, the current step, what it reads and what to do; keys take the rest. */
export function InHand(props: InHandProps) {
  const { bench, setup, timers, records, advice, isListening, asked, onKey } = props;
  const wide = useWide();
  const { sleeve } = bench;
  const isMeasuring = bench.mode === 'measure';
  const isEnd = bench.fiber?.end != null && !isMeasuring;
  const name = bench.words(bench.fibers.length > 0 ? bench.fibers : sleeve!.splices);
  return (
    <View style={{ flexDirection: wide ? 'row' : 'column', gap: wide ? 24 : 5, flexGrow: 1 }}>
      <View style={{ flex: wide ? 1 : undefined, gap: wide ? 14 : 5 }}>
        <Hands bench={bench} />
        {isMeasuring ? (
          <MeasureKind bench={bench} />
        ) : (
          <StepLine bench={bench} setup={setup} timers={timers} label={name} />
        )}
        {sleeve?.method === 'mass' ? <RibbonCells bench={bench} /> : null}
        {wide ? <CautionRow /> : null}
      </View>
      <View style={{ flex: wide ? 1 : undefined, flexGrow: 1, gap: wide ? 10 : 5 }}>
        {isEnd ? <EndPart bench={bench} /> : null}
        {isMeasuring ? null : <SplicerKeys bench={bench} records={records} name={name} />}
        <FigureRow
          bench={bench}
          advice={advice}
          records={records}
          asked={asked}
          isListening={isListening}
        />
        <Keypad onKey={onKey} signed={isMeasuring} />
        {wide || isMeasuring ? null : <CautionRow />}
      </View>
    </View>
  );
}
