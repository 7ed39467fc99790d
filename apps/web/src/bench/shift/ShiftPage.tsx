import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import {
  type ShiftOutcome,
  type ShiftSetting,
  type ShiftUnit,
  plural,
  shiftSettingSchema,
} from '@cordel/core';
import { useSummary } from '@/data/queries';
import { keep } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { saveFile } from '@/ui/saveFile';
import { TimelinePicture, clockAt } from './TimelinePicture';
import { shiftCalendar } from './calendar';
import type { ShiftAnswer } from './shift.worker';
import { useShift } from './useShift';

/** The shift ahead: who, with what, for how long, and what comes of it. */
export function ShiftPage() {
  const { project } = useProjectView();
  const { closure } = useLocalSearchParams<{ closure?: string }>();
  const router = useRouter();
  const summary = useSummary(project.id);
  const [choosing, setChoosing] = useState(false);
  const rows = (summary.data?.closures ?? []).filter((row) => row.open > 0);
  const chosen =
    rows.find((row) => row.closureId === closure) ?? rows.find((row) => row.done > 0) ?? rows[0];
  return (
    <Page title="Plan the shift" above={project.name} back={`/p/${project.id}/bench`}>
      {summary.data ? null : <Waiting error={summary.error} />}
      {summary.data && !chosen ? (
        <Empty title="Nothing left to splice">Every planned splice is made.</Empty>
      ) : null}
      {chosen ? (
        <>
          {choosing ? (
            <Choice
              label="Closure"
              value={chosen.closureId}
              options={rows.map((row) => ({
                value: row.closureId,
                label: `${row.name}, ${row.open} open`,
              }))}
              onChange={(id) => {
                router.setParams({ closure: id });
                setChoosing(false);
              }}
            />
          ) : (
            <View
              style={{
                flexDirection: 'row',
                justifyContent: 'space-between',
                gap: 8,
                alignItems: 'center',
              }}
            >
              <Txt kind="name" heading={2} style={{ flexShrink: 1 }}>
                {chosen.name}
              </Txt>
              <Press label="Another closure" onPress={() => setChoosing(true)} />
            </View>
          )}
          <Shift key={chosen.closureId} closureId={chosen.closureId} name={chosen.name} />
        </>
      ) : null}
    </Page>
  );
}

function Shift({ closureId, name }: { closureId: string; name: string }) {
  const { project } = useProjectView();
  const shift = useShift(closureId);
  const { work, draft, change, open, units, pace, setting, planned } = shift;
  const [editing, setEditing] = useState(false);
  const start = planned.state === 'none' ? 0 : planned.began;
  if (!work.data) return <Waiting error={work.error} />;
  if (units.length === 0)
    return <Empty title="Nothing left to splice here">Choose another closure.</Empty>;
  const set = (part: Partial<ShiftSetting>) => change({ setting: { ...draft.setting, ...part } });
  const ends = new Date(start + draft.setting.window * 60_000);
  return (
    <View style={{ gap: 14 }}>
      <Txt>{`Left here: ${plural(open.length, 'fiber')} in ${plural(units.length, 'tube')} or ribbons, ${unitsWords(units)}.`}</Txt>
      <Leaf style={{ gap: 10 }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 14 }}>
          <Count
            label="People"
            value={draft.setting.people}
            onChange={(people) => set({ people })}
          />
          <Count
            label="Splicers"
            value={draft.setting.splicers}
            onChange={(splicers) => set({ splicers })}
          />
          <Count
            label="Heaters"
            value={draft.setting.heaters}
            onChange={(heaters) => set({ heaters })}
          />
          <Count
            label="Places"
            value={draft.setting.places}
            onChange={(places) => set({ places })}
          />
        </View>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
          <Minutes
            label="Window, min"
            value={draft.setting.window}
            onChange={(window) => set({ window })}
          />
          <Minutes
            label="Break after, min"
            value={draft.setting.breaks[0]?.at ?? 0}
            onChange={(at) =>
              set({ breaks: [{ at, length: draft.setting.breaks[0]?.length ?? 30 }] })
            }
          />
          <Minutes
            label="Break, min"
            value={draft.setting.breaks[0]?.length ?? 0}
            onChange={(length) =>
              set({
                breaks: length === 0 ? [] : [{ at: draft.setting.breaks[0]?.at ?? 240, length }],
              })
            }
          />
        </View>
        <Press
          look="bare"
          icon={editing ? 'chevron-up' : 'chevron-down'}
          label={editing ? 'Fold the times away' : 'Times of each step'}
          onPress={() => setEditing(!editing)}
          style={{ alignSelf: 'flex-start' }}
        />
        {editing ? <Times setting={draft.setting} onChange={set} /> : null}
        {pace.seen > 0 ? (
          <Choice
            label={`Pace of this shift, from ${plural(pace.seen, 'sleeve')}: ${paceWords(pace.factor)}`}
            value={draft.learn ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: 'plan by it' },
              { value: 'no', label: 'plan as set' },
            ]}
            onChange={(value) => change({ learn: value === 'yes' })}
          />
        ) : (
          <Txt ink="ink2">As soon as sleeves are kept here, the plan follows their real pace.</Txt>
        )}
      </Leaf>
      {planned.state === 'running' ? (
        <Leaf style={{ gap: 8 }}>
          <Txt
            kind="strong"
            aria-live="polite"
          >{`Trying out the night: ${Math.round(planned.share * 100)} %`}</Txt>
          {planned.outcome ? <Finish outcome={planned.outcome} start={start} /> : null}
          <Press label="Stop" onPress={shift.stop} />
        </Leaf>
      ) : (
        <Press
          label={planned.state === 'done' ? 'Plan again' : 'Plan it'}
          look="next"
          onPress={() => void shift.start(setting, units)}
        />
      )}
      {planned.state === 'done' ? (
        <>
          <Answer answer={planned.answer} start={start} window={draft.setting.window * 60} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Press
              label="Calendar (.ics)"
              icon="calendar-export"
              onPress={() =>
                saveFile(
                  `shift-${name}.ics`,
                  shiftCalendar({
                    closure: name,
                    start,
                    setting: draft.setting,
                    outcome: planned.answer.outcome,
                    timeline: planned.answer.timeline,
                    now: Date.now(),
                  }),
                  'text/calendar',
                )
              }
            />
            <Press
              label="The shift begins now"
              onPress={() => {
                keep(
                  `cordel.shift.end.${project.id}`,
                  new Date(Date.now() + draft.setting.window * 60_000).toISOString(),
                );
                void shift.start(setting, units);
              }}
            />
          </View>
          <Txt
            kind="small"
            ink="ink2"
          >{`Window to ${clockAt(ends.getTime())}. When the shift begins, the Bench minds its end in its advice.`}</Txt>
        </>
      ) : null}
    </View>
  );
}

const paceWords = (factor: number): string =>
  Math.abs(factor - 1) < 0.03
    ? 'as set'
    : `${Math.round(Math.abs(factor - 1) * 100)} % ${factor > 1 ? 'slower' : 'faster'} than set`;

function unitsWords(units: readonly ShiftUnit[]): string {
  const sleeves = units.reduce((sum, unit) => sum + unit.sleeves, 0);
  const ribbons = units.some(({ way }) => way !== 'single');
  return `${plural(sleeves, 'sleeve')}${ribbons ? ', ribbons among them' : ''}`;
}

function Finish({ outcome, start }: { outcome: ShiftOutcome; start: number }) {
  const at = (seconds: number) => clockAt(start + seconds * 1000);
  return (
    <View>
      <Txt kind="figure">{at(outcome.finish.p50)}</Txt>
      <Txt>{`Likely finish; eight in ten between ${at(outcome.finish.p10)} and ${at(outcome.finish.p90)}.`}</Txt>
    </View>
  );
}

const POOL_WORDS = {
  people: 'Hands are the bottleneck',
  places: 'Places at the closure are the bottleneck',
  splicers: 'The splicer is the bottleneck',
  heaters: 'The heater is the bottleneck',
  ready: 'Ready ends are the bottleneck',
} as const;

function Answer({ answer, start, window }: { answer: ShiftAnswer; start: number; window: number }) {
  const { outcome, gains, ways, timeline } = answer;
  const at = (seconds: number) => clockAt(start + seconds * 1000);
  const share = Math.round(outcome.inWindow * 100);
  return (
    <View style={{ gap: 14 }}>
      <Leaf hung style={{ gap: 6 }}>
        <Finish outcome={outcome} start={start} />
        <Txt kind="strong" ink={share >= 80 ? 'green' : share >= 40 ? 'ink' : 'accent'}>
          {`${share} % to finish within the window, to ${at(window)}.`}
        </Txt>
        {outcome.lastStart.map(({ label, at: last }) => (
          <Txt key={label}>
            {last > 0
              ? `Last safe moment to begin ${label}: ${at(last)}.`
              : `Too late to begin ${label} and be done with nine in ten.`}
          </Txt>
        ))}
      </Leaf>
      <Leaf style={{ gap: 6 }}>
        <Txt kind="strong">{`${POOL_WORDS[outcome.bottleneck]}: taken ${Math.round(outcome.used[outcome.bottleneck] * 100)} % of the time.`}</Txt>
        {gains.map(({ what, minutes }) => (
          <Txt
            key={what}
          >{`One more ${what}: ${minutes < 1 ? 'gains nothing' : `${Math.round(minutes)} min sooner`}.`}</Txt>
        ))}
      </Leaf>
      {ways.length > 0 ? <Ways ways={ways} /> : null}
      <TimelinePicture timeline={timeline} start={start} window={window} />
      <Txt
        kind="small"
        ink="ink2"
      >{`From ${outcome.runs.toLocaleString('en')} tries of the night by chance: hands vary, joints are made again, heaters and splicers overlap.`}</Txt>
    </View>
  );
}

const hours = (minutes: number): string =>
  `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')} min`;

/** One by one against ribbonizing, side by side. */
function Ways({ ways }: { ways: ShiftAnswer['ways'] }) {
  const [single, ribbonized] = ways as [ShiftAnswer['ways'][number], ShiftAnswer['ways'][number]];
  const better = ribbonized.finish < single.finish - 5;
  const rows: [string, string, string][] = [
    ['Time', hours(single.finish), hours(ribbonized.finish)],
    [
      'Within the window',
      `${Math.round(single.inWindow * 100)} %`,
      `${Math.round(ribbonized.inWindow * 100)} %`,
    ],
    ['Sleeves', `${single.sleeves} single`, `${ribbonized.sleeves} ribbon`],
    ['Adhesive', '0 ml', `${ribbonized.adhesive} ml`],
    ['Applicator pads', '0', String(ribbonized.pads)],
    ['Usual loss a fiber', single.loss, ribbonized.loss],
    [
      'Made again',
      `${Math.round(single.redo * 100)} %`,
      `${Math.round(ribbonized.redo * 100)} %, 12 at once`,
    ],
  ];
  return (
    <Leaf style={{ gap: 4 }}>
      <Txt kind="strong">
        {better
          ? `Ribbonizing the loose tubes pays: ${hours(single.finish - ribbonized.finish)} sooner.`
          : 'Ribbonizing the loose tubes does not pay here.'}
      </Txt>
      <View role="table" aria-label="One by one or ribbonized">
        <Row cells={['', 'One by one', 'Ribbonized']} head />
        {rows.map((cells) => (
          <Row key={cells[0]} cells={cells} />
        ))}
      </View>
      <Txt kind="small" ink="ink2">
        A flipped ribbon puts twelve circuits wrong, and every splice reads well: count the colours
        twice.
      </Txt>
    </Leaf>
  );
}

function Row({ cells, head }: { cells: readonly [string, string, string]; head?: boolean }) {
  return (
    <View role="row" style={{ flexDirection: 'row', gap: 8, paddingVertical: 4 }}>
      {cells.map((cell, index) => (
        <View
          key={index}
          role={head ? 'columnheader' : index === 0 ? 'rowheader' : 'cell'}
          style={{ flex: index === 0 ? 1.2 : 1 }}
        >
          <Txt kind={head || index > 0 ? 'strong' : 'body'}>{cell}</Txt>
        </View>
      ))}
    </View>
  );
}

function Count({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange(value: number): void;
}) {
  return (
    <View role="group" aria-label={label} style={{ gap: 2 }}>
      <Txt ink="ink2">{label}</Txt>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <Press label={`Fewer: ${label}`} disabled={value <= 1} onPress={() => onChange(value - 1)}>
          <Txt kind="strong">−</Txt>
        </Press>
        <Txt kind="name" style={{ minWidth: 22, textAlign: 'center' }}>
          {value}
        </Txt>
        <Press label={`More: ${label}`} disabled={value >= 12} onPress={() => onChange(value + 1)}>
          <Txt kind="strong">+</Txt>
        </Press>
      </View>
    </View>
  );
}

/** A figure that counts once it is one; what is typed stays until then. */
function Minutes({
  label,
  value,
  least = 0,
  onChange,
}: {
  label: string;
  value: number;
  least?: number;
  onChange(value: number): void;
}) {
  const [typed, setTyped] = useState(String(value));
  const figure = Number(typed);
  const good = typed.trim() !== '' && figure >= least && figure <= 1440;
  return (
    <View style={{ flexGrow: 1, minWidth: 90 }}>
      <TextInput
        mode="outlined"
        label={label}
        aria-label={label}
        value={typed}
        error={!good}
        inputMode="decimal"
        onChangeText={(next) => {
          setTyped(next);
          const read = Number(next);
          if (next.trim() !== '' && read >= least && read <= 1440) onChange(read);
        }}
        outlineStyle={{ borderWidth: 2 }}
      />
      {good ? null : <Txt kind="small" ink="accent">{`A figure from ${least} to 1440.`}</Txt>}
    </View>
  );
}

const TIME_LABELS: Record<keyof ShiftSetting['times'], string> = {
  open: 'Open a tube, s',
  ribbonize: 'Ribbonize, s',
  adhesive: 'Adhesive, s',
  prepSingle: 'Prepare a pair, s',
  prepRibbon: 'Prepare a ribbon, s',
  load: 'Load, s',
  arc: 'Arc, s',
  test: 'Look and test, s',
  again: 'Take out again, s',
  move: 'Into the heater, s',
  heat: 'Heat, s',
  seat: 'Seat, s',
  check: 'Arc check, s',
};

function Times({
  setting,
  onChange,
}: {
  setting: ShiftSetting;
  onChange(part: Partial<ShiftSetting>): void;
}) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
      {(Object.keys(TIME_LABELS) as (keyof ShiftSetting['times'])[]).map((key) => (
        <Minutes
          key={key}
          label={TIME_LABELS[key]}
          value={setting.times[key]}
          least={1}
          onChange={(value) => {
            const times = { ...setting.times, [key]: value };
            if (shiftSettingSchema.shape.times.safeParse(times).success) onChange({ times });
          }}
        />
      ))}
      <Minutes
        label="Singles made again, %"
        value={Math.round(setting.redo.single * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, single: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label="Ribbons made again, %"
        value={Math.round(setting.redo.ribbon * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbon: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label="Ribbonized made again, %"
        value={Math.round(setting.redo.ribbonized * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbonized: Math.min(0.9, value / 100) } })
        }
      />
      <Notice>The arc is checked by the project’s policy; heaters and arcs keep their time.</Notice>
    </View>
  );
}
