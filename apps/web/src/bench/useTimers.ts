import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type BenchTimer, type TimerKind, timerAt } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { useKept } from '@/data/storage';

const NO_TIMERS: BenchTimer[] = [];
/** A timer that is done stays in sight that long, s. */
const KEEP = 600;

function readTimers(text: string): BenchTimer[] {
  try {
    return text === '' ? NO_TIMERS : (JSON.parse(text) as BenchTimer[]);
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

/** The timers of this device, side by side. They are moments, so that a reload or a sleep changes nothing. */
export function useTimers() {
  const [text, setText] = useKept('cordel.timers', '');
  const timers = useMemo(() => readTimers(text), [text]);
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
      setText(JSON.stringify(timers.filter(({ id }) => !stale.some((old) => old.id === id))));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- it rings when a phase changes, not with every tick
  }, [phases]);
  const start = useCallback(
    (kind: TimerKind, label: string, seconds: number, cool = 0) =>
      setText(
        JSON.stringify([
          ...timers,
          { id: uuid(), kind, label, startedAt: Date.now(), seconds, cool } satisfies BenchTimer,
        ]),
      ),
    [timers, setText],
  );
  const stop = useCallback(
    (id: string) => setText(JSON.stringify(timers.filter((timer) => timer.id !== id))),
    [timers, setText],
  );
  return { timers: shown, start, stop };
}

export type Timers = ReturnType<typeof useTimers>;
