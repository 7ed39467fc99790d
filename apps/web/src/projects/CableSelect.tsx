import { common } from '@cordel/text/pages/common';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { Select } from '@/ui/Select';
import { useProjectView } from './context';

/** A choice among the cables of the project. */
export function CableSelect({ value, onChange }: { value: string; onChange(id: string): void }) {
  const { cables } = useProjectView();
  return (
    <Select
      label={common('cable')}
      value={value}
      options={cables.map(({ id, name }) => ({ value: id, label: t('cableName', { name }) }))}
      onChange={onChange}
    />
  );
}
