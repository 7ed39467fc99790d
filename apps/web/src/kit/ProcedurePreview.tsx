import { useState } from 'react';
import { View } from 'react-native';
import {
  BUILT_IN_SCHEMES,
  type CutTask,
  ENTRY_KINDS,
  type EntryKind,
  type Hardware,
  type MakeUp,
  cutPlan,
  enteringCable,
  prepSteps,
  sealOfLeg,
  sealPorts,
} from '@cordel/core';
import { closingPoints } from '@cordel/core/close';
import { pointText } from '@cordel/text/close';
import {
  entryKindText,
  legText,
  prepCautionText,
  prepStepText,
  traitText,
} from '@cordel/text/prep';
import { procedurePreview as t } from '@cordel/text/pages/kit/ProcedurePreview';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';

const RIBBONS: MakeUp = { kind: 'ribbon', ribbons: 12 };
const TUBES: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const DROP: MakeUp = { kind: 'drop', fibers: 2 };
/** Of the made-up closure and its cable. */
const ID = 'preview';

/** The steps of a procedure as they are shown at work, on a made-up closure with one cable. */
export function ProcedurePreview({ hardware }: { hardware: Hardware }) {
  const { project } = useProjectView();
  const kinds = ENTRY_KINDS.filter((kind) =>
    hardware.ports.some(({ takes }) => takes.includes(kind)),
  );
  const [chosen, setKind] = useState<EntryKind>('end');
  const [isRibbon, setIsRibbon] = useState(hardware.form === 'rack');
  const [isArmoured, setIsArmoured] = useState(false);
  const kind = kinds.includes(chosen) ? chosen : (kinds[0] ?? 'end');
  const { task, seals, closing } = madeUp(hardware, kind, isRibbon, isArmoured, project.practice);
  const steps = prepSteps({ task, plan: cutPlan(task), seals, scheme: BUILT_IN_SCHEMES[0]! });
  return (
    <View style={{ gap: 8 }}>
      <Text kind="strong">{t('aMadeUpClosureWithOneCable')}</Text>
      <Choice<EntryKind>
        label={t('theCableEntersAs')}
        value={kind}
        options={kinds.map((value) => ({ value, label: entryKindText(value) }))}
        onChange={setKind}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Toggle label={traitText('ribbon')} isOn={isRibbon} onChange={setIsRibbon} />
        <Toggle label={traitText('armoured')} isOn={isArmoured} onChange={setIsArmoured} />
      </View>
      <Text kind="strong">{t('opening')}</Text>
      {steps.map(({ key, leg, message, caution }, index) => (
        <Text key={key}>
          <Text kind="strong">{`${index + 1}. ${leg ? `${legText(leg)}: ` : ''}`}</Text>
          {prepStepText(message, project.units)}
          {caution ? <Text color="accent">{` ${prepCautionText(caution)}`}</Text> : null}
        </Text>
      ))}
      <Text kind="strong">{t('closing')}</Text>
      {closing.map(({ key, message }, index) => (
        <Text key={key}>
          <Text kind="strong">{`${index + 1}. `}</Text>
          {pointText(message, project.units)}
        </Text>
      ))}
    </View>
  );
}

function madeUp(
  hardware: Hardware,
  kind: EntryKind,
  isRibbon: boolean,
  armoured: boolean,
  practice: CutTask['practice'],
) {
  const row = hardware.ports.find(({ takes }) => takes.includes(kind))?.rows[0];
  const entry = {
    ...enteringCable(ID, ID, kind),
    diameter: row ? Math.round((row.from + row.to) / 2) : 100,
    tubes: kind === 'express' ? [{ unit: 1, way: 'dedicate' as const }] : [],
    armoured,
    route: hardware.sheath.end,
  };
  const makeUp = kind === 'drop' ? DROP : isRibbon ? RIBBONS : TUBES;
  const task: CutTask = { hardware, makeUp, entry, practice, reach: 0 };
  const { ports } = sealPorts(hardware, [entry]);
  const seals = { in: sealOfLeg(ports, ID, 'in'), out: sealOfLeg(ports, ID, 'out') };
  const closing = closingPoints({
    closure: {
      id: ID,
      projectId: ID,
      name: t('madeUp'),
      ordinal: 0,
      distance: null,
      branchOf: null,
      position: null,
      trays: [],
    },
    assembly: { closureId: ID, hardwareId: hardware.id, reach: 0, entries: [entry] },
    hardware,
    splices: [],
    cableName: () => t('madeUp'),
    isDevice: () => false,
  }).filter(({ group }) => group !== 'work');
  return { task, seals, closing };
}
