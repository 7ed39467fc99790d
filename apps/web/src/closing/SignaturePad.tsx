import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import Pad from 'signature_pad';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { Button } from '@/ui/Button';
import { useColors } from '@/ui/theme';

const HEIGHT = 190;

interface SignaturePadProps {
  label: string;
  /** Strokes as they lie now: x and y in turn, thousandths of the field. */
  onChange(strokes: number[][]): void;
}

/** A field to sign in with a finger. */
export function SignaturePad({ label, onChange }: SignaturePadProps) {
  const colors = useColors();
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const changed = useRef(onChange);
  useEffect(() => {
    changed.current = onChange;
  }, [onChange]);
  useEffect(() => {
    const field = canvas.current!;
    const scale = window.devicePixelRatio || 1;
    const [width, height] = [field.offsetWidth, field.offsetHeight];
    field.width = width * scale;
    field.height = height * scale;
    field.getContext('2d')!.scale(scale, scale);
    const own = new Pad(field, { penColor: colors.ink, minWidth: 1.2, maxWidth: 3 });
    own.addEventListener('endStroke', () =>
      changed.current(
        own
          .toData()
          .map(({ points }) =>
            points.flatMap(({ x, y }) => [inThousandths(x, width), inThousandths(y, height)]),
          ),
      ),
    );
    pad.current = own;
    return () => own.off();
  }, [colors.ink]);
  return (
    <View style={{ gap: 8 }}>
      <canvas
        ref={canvas}
        aria-label={label}
        role="img"
        style={{
          width: '100%',
          height: HEIGHT,
          touchAction: 'none',
          background: colors.leaf,
          border: `2px solid ${colors.ink}`,
          boxSizing: 'border-box',
        }}
      />
      <Button
        label={t('clear')}
        onPress={() => {
          pad.current?.clear();
          onChange([]);
        }}
      />
    </View>
  );
}

const inThousandths = (value: number, size: number): number =>
  Math.max(0, Math.min(1000, Math.round((value / size) * 1000)));
