import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type BenchTimer, type TimerKind, timerAt } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { usePersisted } from '@/data/storage';

const NO_TIMERS: BenchTimer[] = [];
/** A timer that is done stays in sight that long, s. */
const KEEP = 600;

function readTimers(text: string): BenchTimer[] {
  try {
    const all = text === '' ? NO_TIMERS : (JSON.parse(text) as BenchTimer[]);
    // Timers of earlier versions belong nowhere.
    return all.filter(({ projectId, closureId }) => projectId && closureId);
  } catch {
    return NO_TIMERS;
  }
}

/** Sounds and buzzes where the browser can. */
function ring(): void {
  try {
    navigator.vibrate?.([200, 100, 200]);
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    gain.gain.value = 0.2;
    tone.frequency.value = 880;
    tone.connect(gain).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.5);
    tone.onended = () => void audio.close();
  } catch {
    // A browser without sound: the timer still says it in words.
  }
}

/**
 * The timers that this device started in a project, side by side; those of another closure carry its name.
 * They are moments, so that a reload or a sleep changes nothing.
 */
export function useTimers(projectId: string, closure: { id: string; name: string }) {
  const [text, setText] = usePersisted('cordel.timers', '');
  const all = useMemo(() => readTimers(text), [text]);
  const timers = useMemo(
    () => all.filter((timer) => timer.projectId === projectId),
    [all, projectId],
  );
  const [now, setNow] = useState(() => Date.now());
  const running = timers.length > 0;
  useEffect(() => {
    if (!running) return;
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, 500);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running]);
  const shown = timers.map((timer) => ({
    ...timer,
    label: timer.closureId === closure.id ? timer.label : `${timer.label}, ${timer.closure}`,
    ...timerAt(timer, Math.max(now, timer.startedAt)),
  }));
  const phases = shown.map(({ id, phase }) => `${id} ${phase}`).join();
  const heard = useRef(phases);
  useEffect(() => {
    if (phases === heard.current) return;
    const before = new Map(
      heard.current.split(',').map((word) => word.split(' ') as [string, string]),
    );
    if (shown.some(({ id, phase }) => before.has(id) && before.get(id) !== phase)) ring();
    heard.current = phases;
    const stale = shown.filter(({ phase, seconds }) => phase === 'done' && seconds > KEEP);
    if (stale.length > 0)
      setText(JSON.stringify(all.filter(({ id }) => !stale.some((old) => old.id === id))));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- it rings when a phase changes, not with every tick
  }, [phases]);
  const start = useCallback(
    (kind: TimerKind, label: string, seconds: number, cool = 0) =>
      setText(
        JSON.stringify([
          ...all,
          {
            id: uuid(),
            projectId,
            closureId: closure.id,
            closure: closure.name,
            kind,
            label,
            startedAt: Date.now(),
            seconds,
            cool,
          } satisfies BenchTimer,
        ]),
      ),
    [all, setText, projectId, closure.id, closure.name],
  );
  const stop = useCallback(
    (id: string) => setText(JSON.stringify(all.filter((timer) => timer.id !== id))),
    [all, setText],
  );
  return { timers: shown, start, stop };
}

export type Timers = ReturnType<typeof useTimers>;
