import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import {
  ENTRY_KINDS,
  type LengthUnit,
  type Port,
  type SealRow,
  formatLength,
  formatDiameter,
} from '@cordel/core';
import { portsEditor as t } from '@cordel/text/pages/kit/PortsEditor';
import { LengthField } from '@/prep/LengthField';
import { ListEditor } from '@/ui/ListEditor';
import { NumberField } from '@/ui/NumberField';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { Toggle } from '@/ui/Toggle';
import { useColors } from '@/ui/theme';

/** A place in the ports that is wrong, as its schema tells it, and what is wrong there. */
export interface PortProblem {
  port: number;
  row: number | null;
  text: string;
}

interface PortsEditorProps {
  ports: readonly Port[];
  unit: LengthUnit;
  problem: PortProblem | null;
  onChange(ports: Port[]): void;
}

const KIND_WORDS = { end: t('cutEnd'), express: t('express'), drop: t('drop') };

/** The ports of a closure, each with the seals that it takes. */
export function PortsEditor({ ports, unit, problem, onChange }: PortsEditorProps) {
  return (
    <ListEditor<Port>
      word={t('port')}
      items={ports}
      newItem={(all) => ({ ...all.at(-1)!, name: t('portName', { number: all.length + 1 }) })}
      onChange={onChange}
      row={(port, change, index) => (
        <PortRow
          port={port}
          index={index}
          unit={unit}
          problem={problem?.port === index ? problem : null}
          onChange={change}
        />
      )}
    />
  );
}

function PortRow({
  port,
  index,
  unit,
  problem,
  onChange,
}: {
  port: Port;
  index: number;
  unit: LengthUnit;
  problem: PortProblem | null;
  onChange(part: Partial<Port>): void;
}) {
  const colors = useColors();
  const number = index + 1;
  return (
    <View style={{ borderLeftWidth: 4, borderColor: colors.rule, paddingLeft: 10, gap: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <TextField
          label={t('nameOfPort', { number })}
          value={port.name}
          onChange={(name) => onChange({ name })}
        />
        <NumberField
          label={t('cablesInItsSeal')}
          name={t('cablesInTheSealOfPort', { number })}
          value={port.holes}
          onChange={(holes) => onChange({ holes })}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {ENTRY_KINDS.map((kind) => (
          <Toggle
            key={kind}
            label={KIND_WORDS[kind]}
            name={t('portTakesKind', { number, kind: KIND_WORDS[kind] })}
            isOn={port.takes.includes(kind)}
            onChange={(isOn) =>
              onChange({
                takes: ENTRY_KINDS.filter((one) =>
                  one === kind ? isOn : port.takes.includes(one),
                ),
              })
            }
          />
        ))}
      </View>
      <SealRanges rows={port.rows} unit={unit} />
      {problem?.row === null ? <Text color="accent">{problem.text}</Text> : null}
      <ListEditor<SealRow>
        word={t('seal')}
        items={port.rows}
        newItem={(all) => ({ ...all.at(-1)!, from: all.at(-1)!.to, to: all.at(-1)!.to + 20 })}
        onChange={(rows) => onChange({ rows })}
        row={(row, change, at) => (
          <SealFields
            row={row}
            place={t('ofPortSeal', { number, seal: at + 1 })}
            unit={unit}
            problem={problem?.row === at ? problem.text : ''}
            onChange={change}
          />
        )}
      />
    </View>
  );
}

function SealFields({
  row,
  place,
  unit,
  problem,
  onChange,
}: {
  row: SealRow;
  place: string;
  unit: LengthUnit;
  problem: string;
  onChange(part: Partial<SealRow>): void;
}) {
  return (
    <View style={{ gap: 6 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <LengthField
          label={t('diameterFrom')}
          name={t('diameterFromOf', { place })}
          value={row.from}
          unit={unit}
          spell={formatDiameter}
          onChange={(from) => onChange({ from })}
        />
        <LengthField
          label={t('to')}
          name={t('diameterToOf', { place })}
          value={row.to}
          unit={unit}
          spell={formatDiameter}
          onChange={(to) => onChange({ to })}
        />
        <TextField
          label={t('seal')}
          name={t('sealName', { place })}
          value={row.seal}
          onChange={(seal) => onChange({ seal })}
        />
        <NumberField
          label={t('layers')}
          name={t('layersOf', { place })}
          value={row.layers}
          onChange={(layers) => onChange({ layers })}
        />
        <TextField
          label={t('clip')}
          name={t('clipOf', { place })}
          value={row.clip}
          onChange={(clip) => onChange({ clip })}
        />
        <Toggle
          label={t('bushing')}
          name={t('bushingOf', { place })}
          isOn={row.bushing}
          onChange={(bushing) => onChange({ bushing })}
        />
      </View>
      {problem ? <Text color="accent">{problem}</Text> : null}
    </View>
  );
}

const WIDTH = 300;
const HEIGHT = 26;

/** Which diameters the seals take, drawn to scale: a gap is a hole in the row, an overlap stands out. */
function SealRanges({ rows, unit }: { rows: readonly SealRow[]; unit: LengthUnit }) {
  const colors = useColors();
  const sorted = [...rows].sort((a, b) => a.from - b.from);
  const least = sorted[0]!.from;
  const most = Math.max(...sorted.map(({ to }) => to));
  const x = (tenths: number) => ((tenths - least) / Math.max(1, most - least)) * WIDTH;
  const gaps = sorted.slice(1).filter((row, at) => row.from > sorted[at]!.to).length;
  const overlaps = sorted.slice(1).filter((row, at) => row.from < sorted[at]!.to).length;
  const range = t('diametersFromTo', {
    from: formatLength(least, unit),
    to: formatLength(most, unit),
  });
  return (
    <View style={{ gap: 2 }}>
      <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={range}>
        <Line x1={0} x2={WIDTH} y1={HEIGHT - 2} y2={HEIGHT - 2} stroke={colors.rule} />
        {sorted.map((row, at) => (
          <Rect
            key={at}
            x={x(row.from)}
            // Of those that overlap one lies higher.
            y={at % 2 === 0 ? 6 : 2}
            width={Math.max(1, x(row.to) - x(row.from) - 1)}
            height={HEIGHT - 10}
            fill={at > 0 && row.from < sorted[at - 1]!.to ? colors.accent : colors.ink}
          />
        ))}
      </Svg>
      <Text kind="small" color={gaps + overlaps > 0 ? 'accent' : 'ink2'}>
        {gaps + overlaps > 0 ? t('rangeWithFaults', { range, gaps, overlaps }) : range}
      </Text>
    </View>
  );
}
