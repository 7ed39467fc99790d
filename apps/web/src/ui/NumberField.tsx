import { useState } from 'react';
import { TextField } from './TextField';

/** A number typed in place. What is none is NaN, which the form's schema refuses. */
export function NumberField({
  label,
  name,
  value,
  unit,
  onChange,
}: {
  label: string;
  /** What it is called where its row is not seen. */
  name?: string;
  value: number;
  /** Shown behind the figure. */
  unit?: string;
  onChange(value: number): void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label={label}
      name={name ?? label}
      value={typed ?? (Number.isNaN(value) ? '' : String(value))}
      isWrong={Number.isNaN(value)}
      unit={unit}
      numeric
      minWidth={110}
      onChange={(text) => {
        setTyped(text);
        onChange(text.trim() === '' ? NaN : Number(text.replace(',', '.')));
      }}
      onLeave={() => setTyped(null)}
    />
  );
}
