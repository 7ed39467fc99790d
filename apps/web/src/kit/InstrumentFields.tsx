import { View } from 'react-native';
import { type Cleaver, FIBER_KINDS, SLEEVE_KINDS, type Splicer } from '@cordel/core';
import { instrumentFields as t } from '@cordel/text/pages/kit/InstrumentFields';
import { LengthField } from '@/prep/LengthField';
import { ListEditor } from '@/ui/ListEditor';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';

const ROW = { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const;

const FIBER_OPTIONS = [...FIBER_KINDS, 'any' as const].map((value) => ({
  value,
  label: value === 'any' ? t('anyFiber') : t('fiberKind', { kind: value }),
}));

const SLEEVE_OPTIONS = SLEEVE_KINDS.map((value) => ({
  value,
  label: t('sleeveKind', { kind: value }),
}));

/** What a splicer's own sheet says of it. */
export function SplicerFields({
  splicer,
  onChange,
}: {
  splicer: Splicer;
  onChange(part: Partial<Splicer>): void;
}) {
  return (
    <View style={{ gap: 12 }}>
      <Text kind="strong">{t('spliceProgramsHeading')}</Text>
      <ListEditor<Splicer['programs'][number]>
        word={t('spliceProgram')}
        items={splicer.programs}
        newItem={(all) => ({ ...all.at(-1)!, name: '' })}
        onChange={(programs) => onChange({ programs })}
        row={(program, change, index) => (
          <View style={ROW}>
            <TextField
              label={t('nameOfProgram', { number: index + 1 })}
              value={program.name}
              onChange={(name) => change({ name })}
            />
            <Select
              label={t('fiberOfProgram', { number: index + 1 })}
              value={program.glass}
              options={FIBER_OPTIONS}
              onChange={(glass) => change({ glass: glass as typeof program.glass })}
            />
            <NumberField
              label={t('fibersAtOnce')}
              name={t('fibersOfProgram', { number: index + 1 })}
              value={program.fibers}
              onChange={(fibers) => change({ fibers })}
            />
          </View>
        )}
      />
      <Text kind="strong">{t('heaterProgramsHeading')}</Text>
      <ListEditor<Splicer['heaterPrograms'][number]>
        word={t('heaterProgram')}
        items={splicer.heaterPrograms}
        newItem={(all) => ({ ...all.at(-1)!, name: '' })}
        onChange={(heaterPrograms) => onChange({ heaterPrograms })}
        row={(program, change, index) => (
          <View style={ROW}>
            <TextField
              label={t('nameOfHeaterProgram', { number: index + 1 })}
              value={program.name}
              onChange={(name) => change({ name })}
            />
            <Select
              label={t('sleeveOfHeaterProgram', { number: index + 1 })}
              value={program.sleeve}
              options={SLEEVE_OPTIONS}
              onChange={(sleeve) => change({ sleeve: sleeve as typeof program.sleeve })}
            />
            <NumberField
              label={t('heating')}
              name={t('heatingOfHeaterProgram', { number: index + 1 })}
              unit="s"
              value={program.seconds}
              onChange={(seconds) => change({ seconds })}
            />
          </View>
        )}
      />
      <View style={ROW}>
        <NumberField
          label={t('heaters')}
          value={splicer.heaters}
          onChange={(heaters) => onChange({ heaters })}
        />
        <NumberField
          label={t('arc')}
          unit="s"
          value={splicer.arcSeconds}
          onChange={(arcSeconds) => onChange({ arcSeconds })}
        />
        <NumberField
          label={t('cooling')}
          unit="s"
          value={splicer.coolSeconds}
          onChange={(coolSeconds) => onChange({ coolSeconds })}
        />
        <NumberField
          label={t('cleaveAngleLimit')}
          unit="°"
          value={splicer.cleaveLimit / 100}
          onChange={(degrees) => onChange({ cleaveLimit: Math.round(degrees * 100) })}
        />
      </View>
      <Text kind="strong">{t('holdersHeading')}</Text>
      <ListEditor<{ fibers: number }>
        word={t('holder')}
        items={splicer.holders.map((fibers) => ({ fibers }))}
        newItem={() => ({ fibers: 12 })}
        onChange={(holders) => onChange({ holders: holders.map(({ fibers }) => fibers) })}
        row={({ fibers }, change, index) => (
          <NumberField
            label={t('fibers')}
            name={t('fibersOfHolder', { number: index + 1 })}
            value={fibers}
            onChange={(count) => change({ fibers: count })}
          />
        )}
      />
      <CleaveLengths lengths={splicer.cleaveLengths} onChange={onChange} />
    </View>
  );
}

/** What a cleaver's own sheet says of it. */
export function CleaverFields({
  cleaver,
  onChange,
}: {
  cleaver: Cleaver;
  onChange(part: Partial<Cleaver>): void;
}) {
  return (
    <View style={{ gap: 12 }}>
      <View style={ROW}>
        <NumberField
          label={t('bladePositions')}
          value={cleaver.positions}
          onChange={(positions) => onChange({ positions })}
        />
        <NumberField
          label={t('cleavesAPosition')}
          value={cleaver.cleaves}
          onChange={(cleaves) => onChange({ cleaves })}
        />
      </View>
      <CleaveLengths lengths={cleaver.cleaveLengths} onChange={onChange} />
    </View>
  );
}

function CleaveLengths({
  lengths,
  onChange,
}: {
  lengths: readonly number[];
  onChange(part: { cleaveLengths: number[] }): void;
}) {
  return (
    <>
      <Text kind="strong">{t('cleaveLengthsHeading')}</Text>
      <ListEditor<{ tenths: number }>
        word={t('cleaveLength')}
        items={lengths.map((tenths) => ({ tenths }))}
        newItem={(all) => ({ tenths: all.at(-1)!.tenths + 10 })}
        onChange={(list) => onChange({ cleaveLengths: list.map(({ tenths }) => tenths) })}
        row={({ tenths }, change, index) => (
          <LengthField
            label={t('lengthPastTheCoating')}
            name={t('cleaveLengthNumber', { number: index + 1 })}
            value={tenths}
            unit="mm"
            onChange={(value) => change({ tenths: value })}
          />
        )}
      />
    </>
  );
}
