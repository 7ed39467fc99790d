import { useRef } from 'react';
import { View } from 'react-native';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import type { TypedRow } from './typedRows';

interface RowFieldsProps {
  /** What a row is: `Cable`, `Closure`. */
  noun: string;
  /** What its second field is for, and an example. */
  figure: string;
  hint: string;
  rows: readonly TypedRow[];
  problems: ReadonlyMap<string, string>;
  /** What a row is understood as, where it is. */
  feedback(row: TypedRow): string;
  onChange(row: TypedRow): void;
}

/** Rows of two fields; Enter goes on to the next field, and the last row is always empty. */
export function RowFields(props: RowFieldsProps) {
  const { noun, figure, hint, rows, problems, feedback, onChange } = props;
  const holder = useRef<HTMLDivElement>(null);
  const goOn = (event: React.KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    const fields = [...(holder.current?.querySelectorAll('input') ?? [])];
    fields[fields.indexOf(event.target as HTMLInputElement) + 1]?.focus();
  };
  return (
    <div ref={holder} onKeyDownCapture={goOn} style={{ display: 'grid', gap: 10 }}>
      <Text color="ink2">{hint}</Text>
      {rows.map((row, index) => {
        const problem = problems.get(row.id);
        const words = problem ?? feedback(row);
        return (
          <View key={row.id} style={{ gap: 2 }}>
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <View style={{ flex: 1, minWidth: 0 }}>
                <TextField
                  label={`${noun} ${index + 1}`}
                  value={row.name}
                  onChange={(name) => onChange({ ...row, name })}
                />
              </View>
              <View style={{ flex: 1, minWidth: 0 }}>
                <TextField
                  label={`${figure} ${index + 1}`}
                  value={row.figure}
                  onChange={(text) => onChange({ ...row, figure: text })}
                />
              </View>
            </View>
            {words ? <Text color={problem ? 'accent' : 'ink2'}>{words}</Text> : null}
          </View>
        );
      })}
    </div>
  );
}
