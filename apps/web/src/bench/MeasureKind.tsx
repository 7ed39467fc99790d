import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { View } from 'react-native';
import type { BenchDraft } from './draft';
import type { Bench } from './useBench';

const KINDS: { value: BenchDraft['kind']; label: string }[] = [
  { value: 'AB', label: 'A to B' },
  { value: 'BA', label: 'B to A' },
  { value: 'two-way', label: 'Two-way mean' },
  { value: 'insertion', label: 'Insertion' },
];

/** What is being measured: wavelength and direction. It stays until changed. */
export function MeasureKind({ bench }: { bench: Bench }) {
  const { project } = useProjectView();
  const start = { sleeve: null, typed: {}, cursor: 0 };
  return (
    <View style={{ gap: 8 }}>
      <Choice
        label="Wavelength"
        value={String(bench.nm)}
        options={project.limits.wavelengths.map((nm) => ({ value: String(nm), label: `${nm} nm` }))}
        onChange={(nm) => bench.change({ ...start, wavelengthNm: Number(nm) })}
      />
      <Choice
        label="Figure"
        value={bench.draft.kind}
        options={KINDS}
        onChange={(kind) => bench.change({ ...start, kind })}
      />
    </View>
  );
}
