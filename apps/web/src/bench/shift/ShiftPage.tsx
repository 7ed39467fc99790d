import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type ShiftSetting, type ShiftUnit } from '@cordel/core/shift';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { shiftPage as t } from '@cordel/text/pages/bench/ShiftPage';
import { common } from '@cordel/text/pages/common';
import { useSummary } from '@/data/queries';
import { keep } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Empty, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { saveFile } from '@/ui/saveFile';
import { Answer, Finish } from './ShiftAnswer';
import { Count, Minutes, Times } from './ShiftFields';
import { shiftCalendar } from './calendar';
import { useShift } from './useShift';

/** The shift ahead: who, with what, for how long, and what comes of it. */
export function ShiftPage() {
  const { project, isArchived } = useProjectView();
  const { closure } = useLocalSearchParams<{ closure?: string }>();
  const router = useRouter();
  const summary = useSummary(project.id);
  const [choosing, setChoosing] = useState(false);
  const rows = (summary.data?.closures ?? []).filter(
    (row) => row.open > 0 && !isArchived({ id: row.closureId }),
  );
  const chosen =
    rows.find((row) => row.closureId === closure) ?? rows.find((row) => row.done > 0) ?? rows[0];
  return (
    <Page title={shared('planTheShift')} above={project.name} back={`/p/${project.id}/bench`}>
      {summary.data ? null : <Waiting error={summary.error} />}
      {summary.data && !chosen ? (
        <Empty title={t('nothingLeftToSplice')}>{t('everyPlannedSpliceIsMade')}</Empty>
      ) : null}
      {chosen ? (
        <>
          {choosing ? (
            <Choice
              label={common('closure')}
              value={chosen.closureId}
              options={rows.map((row) => ({
                value: row.closureId,
                label: t('nameOpen', { name: row.name, open: row.open }),
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
              <Text kind="name" heading={2} style={{ flexShrink: 1 }}>
                {chosen.name}
              </Text>
              <Button label={t('anotherClosure')} onPress={() => setChoosing(true)} />
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
  const { clock } = useClock();
  const shift = useShift(closureId);
  const { work, draft, change, open, units, pace, setting, planned } = shift;
  const [editing, setEditing] = useState(false);
  const start = planned.state === 'none' ? 0 : planned.began;
  if (!work.data) return <Waiting error={work.error} />;
  if (units.length === 0)
    return <Empty title={t('nothingLeftToSpliceHere')}>{t('chooseAnotherClosure')}</Empty>;
  const set = (part: Partial<ShiftSetting>) => change({ setting: { ...draft.setting, ...part } });
  const ends = new Date(start + draft.setting.window * 60_000);
  return (
    <View style={{ gap: 14 }}>
      <Text>
        {t('leftHereFibersInTubesOr', {
          fibers: open.length,
          tubes: units.length,
          units: unitsWords(units),
        })}
      </Text>
      <Card style={{ gap: 10 }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 14 }}>
          <Count
            label={t('people')}
            value={draft.setting.people}
            onChange={(people) => set({ people })}
          />
          <Count
            label={t('splicers')}
            value={draft.setting.splicers}
            onChange={(splicers) => set({ splicers })}
          />
          <Count
            label={t('heaters')}
            value={draft.setting.heaters}
            onChange={(heaters) => set({ heaters })}
          />
          <Count
            label={t('places')}
            value={draft.setting.places}
            onChange={(places) => set({ places })}
          />
        </View>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
          <Minutes
            label={t('windowMin')}
            value={draft.setting.window}
            onChange={(window) => set({ window })}
          />
          <Minutes
            label={t('breakAfterMin')}
            value={draft.setting.breaks[0]?.at ?? 0}
            onChange={(at) =>
              set({ breaks: [{ at, length: draft.setting.breaks[0]?.length ?? 30 }] })
            }
          />
          <Minutes
            label={t('breakMin')}
            value={draft.setting.breaks[0]?.length ?? 0}
            onChange={(length) =>
              set({
                breaks: length === 0 ? [] : [{ at: draft.setting.breaks[0]?.at ?? 240, length }],
              })
            }
          />
        </View>
        <Button
          look="bare"
          icon={editing ? 'chevron-up' : 'chevron-down'}
          label={editing ? t('hideTheTimes') : t('timesOfEachStep')}
          onPress={() => setEditing(!editing)}
          style={{ alignSelf: 'flex-start' }}
        />
        {editing ? <Times setting={draft.setting} onChange={set} /> : null}
        {pace.seen > 0 ? (
          <Choice
            label={t('paceOfThisShiftFromSleeves', {
              sleeves: pace.seen,
              pace: paceWords(pace.factor),
            })}
            value={draft.learn ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: t('planByIt') },
              { value: 'no', label: t('planAsSet') },
            ]}
            onChange={(value) => change({ learn: value === 'yes' })}
          />
        ) : (
          <Text color="ink2">{t('asSoonAsSleevesAreDone')}</Text>
        )}
      </Card>
      {planned.state === 'running' ? (
        <Card style={{ gap: 8 }}>
          <Text kind="strong" aria-live="polite">
            {t('simulatingShare', { share: Math.round(planned.share * 100) })}
          </Text>
          {planned.outcome ? <Finish outcome={planned.outcome} start={start} /> : null}
          <Button label={common('stop')} onPress={shift.stop} />
        </Card>
      ) : (
        <Button
          label={planned.state === 'done' ? t('planAgain') : t('planIt')}
          look="next"
          onPress={() => void shift.start(setting, units)}
        />
      )}
      {planned.state === 'done' ? (
        <>
          <Answer answer={planned.answer} start={start} window={draft.setting.window * 60} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              label={t('calendarIcs')}
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
            <Button
              label={t('theShiftBeginsNow')}
              onPress={() => {
                keep(
                  `cordel.shift.end.${project.id}`,
                  new Date(Date.now() + draft.setting.window * 60_000).toISOString(),
                );
                void shift.start(setting, units);
              }}
            />
          </View>
          <Text kind="small" color="ink2">
            {t('windowToWhenTheShiftBegins', { clock: clock(ends.getTime()) })}
          </Text>
        </>
      ) : null}
    </View>
  );
}

const paceWords = (factor: number): string =>
  Math.abs(factor - 1) < 0.03
    ? t('asSet')
    : t('percentThanSet', {
        percent: Math.round(Math.abs(factor - 1) * 100),
        slower: factor > 1 ? 'slower' : 'faster',
      });

function unitsWords(units: readonly ShiftUnit[]): string {
  const sleeves = units.reduce((sum, unit) => sum + unit.sleeves, 0);
  const ribbons = units.some(({ way }) => way !== 'single');
  return t('sleevesRibbons', { sleeves, ribbons: ribbons ? t('ribbonsAmongThem') : '' });
}
