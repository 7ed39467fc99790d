import { View } from 'react-native';
import type { Closure } from '@cordel/core';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
import type { TypedRun } from './runForm';

/** How a cable runs: excess fiber, its outer end, and the marks on its sheath. */
export function RunForm({
  value,
  closures,
  onChange,
}: {
  value: TypedRun;
  closures: readonly Pick<Closure, 'id' | 'name'>[];
  onChange(typed: TypedRun): void;
}) {
  const set = (part: Partial<TypedRun>) => onChange({ ...value, ...part });
  return (
    <View style={{ gap: 10 }}>
      <Txt ink="ink2">
        So that meters of fiber on a trace can be told as meters of sheath. Marks are those printed
        on the sheath where it enters; they may run up or down.
      </Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label="Fiber in a length of sheath"
          value={value.helix}
          hint="1.0050 is half a percent more"
          onChange={(helix) => set({ helix })}
        />
        {closures.map(({ id, name }) => (
          <TextField
            key={id}
            label={`Sheath mark at ${name}`}
            value={value.marks[id] ?? ''}
            onChange={(mark) => set({ marks: { ...value.marks, [id]: mark } })}
          />
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label="Its outer end is at"
          value={value.endName}
          hint="A rack, a terminal, a house"
          onChange={(endName) => set({ endName })}
        />
        <TextField
          label="Distance of that end"
          value={value.endDistance}
          onChange={(endDistance) => set({ endDistance })}
        />
        <TextField
          label="Sheath mark at that end"
          value={value.endMark}
          onChange={(endMark) => set({ endMark })}
        />
        <TextField
          label="Cable coiled up there"
          value={value.endCoil}
          onChange={(endCoil) => set({ endCoil })}
        />
      </View>
    </View>
  );
}
