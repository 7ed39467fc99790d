import { type MeasuredKind } from '@cordel/core/session';
import { useState } from 'react';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { measureKind as t } from '@cordel/text/pages/bench/MeasureKind';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import type { Bench } from './useBench';

const KINDS: { value: MeasuredKind; label: string }[] = [
  { value: 'AB', label: shared('aToB') },
  { value: 'BA', label: shared('bToA') },
  { value: 'two-way', label: t('twoWayAverage') },
  { value: 'insertion', label: t('insertion') },
];

/** What is being measured: wavelength and direction. Folded away once chosen. */
export function MeasureKind({ bench }: { bench: Bench }) {
  const { project } = useProjectView();
  const [open, setOpen] = useState(false);
  const kind = KINDS.find((entry) => entry.value === bench.state.kind)!;
  return (
    <>
      <Button
        icon="tune-variant"
        label={t('labelAtNm', { label: kind.label, nm: bench.nm })}
        aria-haspopup="dialog"
        look="dark"
        onPress={() => setOpen(true)}
      />
      <Sheet title={t('measurement')} visible={open} onClose={() => setOpen(false)}>
        <Choice
          label={t('wavelength')}
          value={String(bench.nm)}
          options={project.limits.wavelengths.map((nm) => ({
            value: String(nm),
            label: `${nm} nm`,
          }))}
          onChange={(nm) => bench.dispatch({ type: 'measure', wavelengthNm: Number(nm) })}
        />
        <Choice
          label={t('figure')}
          value={bench.state.kind}
          options={KINDS}
          onChange={(next) => bench.dispatch({ type: 'measure', kind: next })}
        />
        <Button label={shared('done')} onPress={() => setOpen(false)} />
      </Sheet>
    </>
  );
}
