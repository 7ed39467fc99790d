import { useState } from 'react';
import { type LengthUnit, diameterOf, parseLength, spellLength } from '@cordel/core';
import { lengthProblemText } from '@cordel/text/measure';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { TextField } from '@/ui/TextField';

interface LengthFieldProps {
  /** Short enough to be read whole. */
  label: string;
  /** What it is called where its heading is not seen; the label where it is left out. */
  name?: string;
  value: number | null;
  unit: LengthUnit;
  least?: number;
  most?: number;
  /** Whether “c 41 mm” is read as a circumference. */
  around?: boolean;
  hint?: string;
  /** How it is shown; a tape’s way where it is left out. */
  spell?: (tenths: number, unit: LengthUnit) => string;
  onChange(tenths: number): void;
}

/** A length typed freely with its unit; it is taken when the field is left. */
export function LengthField({
  label,
  name = label,
  value,
  unit,
  least = 0,
  most,
  around,
  hint,
  spell = spellLength,
  onChange,
}: LengthFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const shown = typed ?? (value === null ? '' : spell(value, unit));
  const take = () => {
    if (typed === null || typed.trim() === '') return setTyped(null);
    const circumference = around && /^c\s*/i.test(typed);
    const read = parseLength(typed.replace(/^c\s*/i, ''), unit, most);
    if (!read.ok) return setProblem(lengthProblemText(read.error, unit));
    const tenths = circumference ? diameterOf(read.value) : read.value;
    if (tenths < least) return setProblem(t('atLeast', { least: spellLength(least, unit) }));
    setProblem('');
    setTyped(null);
    onChange(tenths);
  };
  return (
    <TextField
      label={label}
      name={name}
      value={shown}
      hint={hint}
      problem={problem}
      minWidth={140}
      onChange={setTyped}
      onLeave={take}
    />
  );
}
