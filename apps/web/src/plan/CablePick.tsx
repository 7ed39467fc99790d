import type { ListCable } from '@cordel/core';
import { Choice } from '@/ui/Field';

interface CablePickProps {
  label: string;
  value: string;
  cables: readonly ListCable[];
  onChange(name: string): void;
}

/** A choice of one cable, all in sight. */
export const CablePick = ({ label, value, cables, onChange }: CablePickProps) => (
  <Choice
    label={label}
    value={value}
    options={cables.map(({ name }) => ({ value: name, label: name }))}
    onChange={onChange}
  />
);
