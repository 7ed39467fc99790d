import { useEffect, useRef } from 'react';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { useColors } from '@/ui/theme';
import { type Peg, StringLayer, type StringLook, draw, plotLeft } from './draw';
import type { TraceView } from './useTraceView';

interface Props {
  view: TraceView;
  looks: readonly StringLook[];
  pegs: readonly Peg[];
  width: number;
  height: number;
  label: string;
}

/** Traces hung on the cord; moved by one finger, two fingers, the wheel, and keys. */
export function TraceCanvas({ view, looks, pegs, width, height, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const strings = useRef<StringLayer>(null);
  const colors = useColors();
  const { columns, shown } = view;
  const unit = useProjectView().project.units.distance;
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      const element = canvas.current;
      const context = element?.getContext('2d');
      if (!element || !context) return;
      const ratio = window.devicePixelRatio || 1;
      if (element.width !== Math.round(width * ratio)) element.width = Math.round(width * ratio);
      if (element.height !== Math.round(height * ratio))
        element.height = Math.round(height * ratio);
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      strings.current ??= new StringLayer();
      draw(context, strings.current, {
        width,
        height,
        shown,
        columns,
        looks,
        pegs,
        colors,
        unit,
      });
    });
    return () => cancelAnimationFrame(frame);
  }, [columns, shown, looks, pegs, width, height, colors, unit]);
  useGestures(canvas, view, width);
  return (
    <canvas
      ref={canvas}
      role="application"
      aria-roledescription={t('traceView2')}
      aria-label={t('arrowKeysMovePlusAndMinus', { label })}
      tabIndex={0}
      onKeyDown={(event) => {
        const does: Record<string, () => void> = {
          ArrowLeft: () => view.pan(-0.15),
          ArrowRight: () => view.pan(0.15),
          '+': () => view.zoom(1.5),
          '=': () => view.zoom(1.5),
          '-': () => view.zoom(1 / 1.5),
          '0': view.whole,
          Home: view.whole,
        };
        const act = does[event.key];
        if (!act) return;
        event.preventDefault();
        act();
      }}
      style={{
        width,
        height,
        border: `2px solid ${colors.ink}`,
        touchAction: 'pan-y',
        cursor: 'grab',
        display: 'block',
        boxSizing: 'border-box',
      }}
    />
  );
}

/** Fingers, mouse and wheel. */
function useGestures(
  canvas: React.RefObject<HTMLCanvasElement | null>,
  { zoom, pan }: TraceView,
  width: number,
): void {
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const plot = width - plotLeft;
    const share = (clientX: number) =>
      (clientX - element.getBoundingClientRect().left - plotLeft) / plot;
    const fingers = new Map<number, number>();
    const down = (event: PointerEvent) => {
      fingers.set(event.pointerId, event.clientX);
      element.setPointerCapture(event.pointerId);
    };
    const moved = (event: PointerEvent) => {
      const before = fingers.get(event.pointerId);
      if (before === undefined) return;
      if (fingers.size === 1) {
        pan((before - event.clientX) / plot);
      } else {
        const other = [...fingers].find(([id]) => id !== event.pointerId)![1];
        const [was, is] = [Math.abs(before - other), Math.abs(event.clientX - other)];
        if (was > 8 && is > 8) zoom(is / was, share((event.clientX + other) / 2));
      }
      fingers.set(event.pointerId, event.clientX);
    };
    const up = (event: PointerEvent) => fingers.delete(event.pointerId);
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      if (Math.abs(event.deltaX) > Math.abs(event.deltaY)) pan(event.deltaX / plot);
      else zoom(Math.exp(-event.deltaY / 400), share(event.clientX));
    };
    const twice = (event: MouseEvent) => zoom(3, share(event.clientX));
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', moved);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('dblclick', twice);
    // A listener of React's own could not keep the page from scrolling.
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', moved);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('dblclick', twice);
      element.removeEventListener('wheel', wheel);
    };
  }, [canvas, zoom, pan, width]);
}
