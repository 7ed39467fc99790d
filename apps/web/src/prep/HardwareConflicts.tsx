import { type Splice, type Tray, hardwareConflicts } from '@cordel/core';
import { hardwareConflictText } from '@cordel/text/prep';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { Notice } from '@/ui/Notice';

/** Where a closure's hardware, trays and plan contradict each other; nothing while no hardware is chosen. */
export function HardwareConflicts({
  closureId,
  trays,
  splices,
}: {
  closureId: string;
  trays: readonly Tray[];
  splices: readonly Pick<Splice, 'tray' | 'slot' | 'method'>[];
}) {
  const { assemblies, hardware } = useProjectView();
  const hardwareId = assemblies.find((own) => own.closureId === closureId)?.hardwareId;
  const chosen = hardware.find(({ id }) => id === hardwareId);
  if (!chosen) return null;
  return hardwareConflicts(chosen, trays, splices).map((conflict) => (
    <Notice
      key={`${conflict.code} ${'sleeve' in conflict ? conflict.sleeve : ''}`}
      word={common('check')}
      color="accent"
    >
      {hardwareConflictText(conflict)}
    </Notice>
  ));
}
