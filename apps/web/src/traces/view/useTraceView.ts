import { type Remote, proxy, wrap } from 'comlink';
import { errorText } from '@cordel/text/record';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Columns, ShownTrace, TraceTable, TraceViewer } from './view.worker';

/** A segment of the circuit, m of fiber from end A. */
export interface Segment {
  from: number;
  to: number;
}

/** The closest one can look, m. */
const CLOSEST = 60;

/** What is in view of some traces, and how to move it. The worker decimates; of several asks the last counts. */
export function useTraceView(
  traces: readonly ShownTrace[],
  length: number,
  width: number,
  level: boolean,
) {
  const viewer = useViewer();
  const [segment, setSegment] = useState<Segment | null>(null);
  const [columns, setColumns] = useState<Columns[]>([]);
  const [ready, setReady] = useState(0);
  const [error, setError] = useState('');
  const shown = useMemo(
    () => segment ?? { from: -0.02 * length, to: 1.02 * length },
    [segment, length],
  );
  const asking = useRef(false);
  const next = useRef<(() => Promise<void>) | null>(null);
  useEffect(() => {
    if (traces.length === 0 || width < 20) return;
    const ask = async () => {
      const list = await viewer.view([...traces], shown.from, shown.to, Math.round(width), level);
      setColumns(list);
    };
    next.current = ask;
    const run = async () => {
      if (asking.current) return;
      asking.current = true;
      try {
        while (next.current) {
          const now = next.current;
          next.current = null;
          await now();
        }
        setError('');
      } catch (problem) {
        setError(errorText(problem as Error));
      } finally {
        asking.current = false;
      }
    };
    void run();
  }, [viewer, traces, shown, width, level]);
  useEffect(() => {
    let current = true;
    void viewer
      .load(
        [...traces],
        proxy((done: number) => current && setReady(done)),
      )
      .catch((problem: Error) => current && setError(errorText(problem)));
    return () => {
      current = false;
    };
  }, [viewer, traces]);

  const move = useCallback(
    (change: (now: Segment) => Segment) =>
      setSegment((now) => {
        const { from, to } = change(now ?? { from: -0.02 * length, to: 1.02 * length });
        const size = Math.min(1.2 * length, Math.max(CLOSEST, to - from));
        const middle = (from + to) / 2;
        const low = Math.min(1.1 * length - size, Math.max(-0.1 * length, middle - size / 2));
        return { from: low, to: low + size };
      }),
    [length],
  );
  /** Closer by a factor about a place, both as shares of the width. */
  const zoom = useCallback(
    (factor: number, about = 0.5) =>
      move(({ from, to }) => {
        const at = from + about * (to - from);
        return { from: at - (at - from) / factor, to: at + (to - at) / factor };
      }),
    [move],
  );
  const pan = useCallback(
    (share: number) =>
      move(({ from, to }) => {
        const by = share * (to - from);
        return { from: from + by, to: to + by };
      }),
    [move],
  );
  const whole = useCallback(() => setSegment(null), []);
  return { viewer, shown, columns, ready, error, zoom, pan, whole, move };
}

export type TraceView = ReturnType<typeof useTraceView>;

/** Both tables of one trace; null while they are being made. */
export function useTable(viewer: Remote<TraceViewer>, trace: ShownTrace | null) {
  const [table, setTable] = useState<{ id: string; table: TraceTable } | null>(null);
  useEffect(() => {
    if (!trace) return;
    let current = true;
    void viewer.table(trace).then(
      (own) => current && setTable({ id: trace.id, table: own }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [viewer, trace]);
  return table && table.id === trace?.id ? table.table : null;
}

function useViewer(): Remote<TraceViewer> {
  const [worker] = useState(() => new Worker(new URL('./view.worker', import.meta.url)));
  useEffect(() => () => worker.terminate(), [worker]);
  return useMemo(() => wrap<TraceViewer>(worker), [worker]);
}
