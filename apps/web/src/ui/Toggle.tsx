import { Button } from './Button';

/** One thing that is so or not. */
export function Toggle({
  label,
  name = label,
  isOn,
  onChange,
}: {
  label: string;
  /** What it is called where its row is not seen. */
  name?: string;
  isOn: boolean;
  onChange(isOn: boolean): void;
}) {
  return (
    <Button
      role="checkbox"
      aria-checked={isOn}
      aria-label={name}
      label={label}
      icon={isOn ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
      look={isOn ? 'dark' : 'plain'}
      onPress={() => onChange(!isOn)}
    />
  );
}
