import { useState } from 'react';
import { View } from 'react-native';
import { cutText, formatTemperature, parsePressure } from '@cordel/core';
import { PURPOSES, type Purpose } from '@cordel/core/close';
import { measureProblemText } from '@cordel/text/measure';
import { askText, prepCautionText } from '@cordel/text/prep';
import { visitForm as t } from '@cordel/text/pages/closing/VisitForm';
import { common } from '@cordel/text/pages/common';
import { useBenchHeld } from '@/bench/useStation';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';
import { airHint, readTemperature } from './readings';
import { type SiteAnswer, SiteSafety, siteProblem } from './SiteSafety';
import type { Closing, ClosingHook } from './useClosing';

export const PURPOSE_WORDS: Record<Purpose, string> = {
  build: t('firstClosing'),
  mend: 'repair',
  'new drop': t('newDrop'),
  'cut-over': 'cut-over',
  look: 'look only',
};

/** A visit names no more. */
const MOST_INSTRUMENTS = 12;

/** Begins a visit: what for, who is here, the weather, and what was brought along. */
export function VisitForm({ closing, write }: { closing: Closing; write: ClosingHook['write'] }) {
  const [person] = usePerson();
  const closedBefore = closing.state.visit !== null || closing.state.stage === 'signed';
  const [open, setOpen] = useState(false);
  const [purpose, setPurpose] = useState<Purpose>(closedBefore ? 'mend' : 'build');
  const [why, setWhy] = useState('');
  const [crew, setCrew] = useState(person);
  const [temperature, setTemperature] = useState('');
  const [pressure, setPressure] = useState('');
  const [sky, setSky] = useState('');
  const { project } = useProjectView();
  const { units } = project;
  const known = useBenchHeld(project.id).data?.instruments ?? [];
  const [chosen, setChosen] = useState<string[]>([]);
  const [others, setOthers] = useState('');
  const [site, setSite] = useState<SiteAnswer>({ hazards: null, handled: [], firstAid: false });
  const [dark, setDark] = useState({ detector: '', twice: false, releasedBy: '' });
  const [problem, setProblem] = useState('');
  /** Fibers that were in service may be cut. */
  const isReentry = closedBefore && (purpose === 'mend' || purpose === 'new drop');
  if (!open)
    return (
      <Button
        label={closedBefore ? t('openTheClosureAgain') : t('iAmHereBeginTheVisit')}
        look={closing.state.visit === null ? 'next' : 'plain'}
        onPress={() => setOpen(true)}
      />
    );
  const begin = () => {
    const unsafe = siteProblem(site);
    if (unsafe !== '') return setProblem(unsafe);
    if (isReentry && !(dark.detector.trim() && dark.twice && dark.releasedBy.trim()))
      return setProblem(t('proveItDarkFirst'));
    const celsius = readTemperature(temperature, units.temperature);
    const air = pressure.trim() === '' ? null : parsePressure(pressure, units.pressure);
    if (!celsius.ok)
      return setProblem(
        t('temperatureMeasureProblem', {
          measureProblem: measureProblemText(celsius.error, units),
        }),
      );
    if (air && !air.ok)
      return setProblem(
        t('airMeasureProblem', { measureProblem: measureProblemText(air.error, units) }),
      );
    const names = crew.split(',').flatMap((name) => name.trim() || []);
    if (names.length === 0) return setProblem(t('sayWhoIsHere'));
    if (purpose !== 'build' && why.trim() === '') return setProblem(t('sayWhyTheClosureIsOpened'));
    setOpen(false);
    void write(
      [
        {
          kind: 'visit',
          purpose,
          why: why.trim() || null,
          crew: names,
          air: { temperature: celsius.value, humidity: null, pressure: air?.ok ? air.value : null },
          sky: sky.trim(),
          hazards: site.hazards ?? [],
          ...(isReentry && {
            dark: { detector: dark.detector.trim(), releasedBy: dark.releasedBy.trim() },
          }),
          instruments: [
            ...chosen,
            ...others.split(',').flatMap((name) => cutText(name.trim(), 60) || []),
          ].slice(0, MOST_INSTRUMENTS),
        },
      ],
      t('visitPurposeWords', { purposeWords: PURPOSE_WORDS[purpose] }),
    );
  };
  return (
    <Card style={{ gap: 12 }}>
      <SiteSafety site={site} onChange={setSite} />
      <Choice<Purpose>
        label={t('whatFor')}
        value={purpose}
        options={PURPOSES.map((value) => ({ value, label: PURPOSE_WORDS[value] }))}
        onChange={setPurpose}
      />
      {closedBefore ? (
        <Notice word={t('aNewVisitBeginsTheList')}>{t('whatWasSignedStaysAsIt')}</Notice>
      ) : null}
      {isReentry ? (
        <View style={{ gap: 8 }}>
          <Text kind="strong">{t('darkHereAtTheFiber')}</Text>
          <Text color="accent">{prepCautionText('invisibleLight')}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
            <TextField
              label={askText({ key: 'detector', words: '' })}
              value={dark.detector}
              onChange={(detector) => setDark({ ...dark, detector })}
            />
            <TextField
              label={askText({ key: 'releasedBy', words: '' })}
              value={dark.releasedBy}
              onChange={(releasedBy) => setDark({ ...dark, releasedBy })}
            />
          </View>
          <Toggle
            label={askText({ key: 'numberTwice', words: '' })}
            isOn={dark.twice}
            onChange={(twice) => setDark({ ...dark, twice })}
          />
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField label={common('why')} value={why} onChange={setWhy} />
        <TextField
          label={t('whoIsHere')}
          hint={t('namesWithCommas')}
          value={crew}
          onChange={setCrew}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={common('temperature')}
          hint={t('suchAsTemperature', { temperature: formatTemperature(12, units.temperature) })}
          value={temperature}
          onChange={setTemperature}
        />
        <TextField
          label={t('airPressureOrAltitude')}
          hint={airHint(units)}
          value={pressure}
          onChange={setPressure}
        />
        <TextField label={t('weather')} hint={t('dryDrizzleWind')} value={sky} onChange={setSky} />
      </View>
      <View role="group" aria-label={t('instruments')} style={{ gap: 6 }}>
        <Text color="ink2">{t('instrumentsThatAreHere')}</Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {known.map(({ id, name }) => {
            const here = chosen.includes(name);
            return (
              <Button
                key={id}
                role="checkbox"
                aria-checked={here}
                label={name}
                icon={here ? 'checkbox-marked' : 'checkbox-blank-outline'}
                look={here ? 'dark' : 'plain'}
                onPress={() =>
                  setChosen(here ? chosen.filter((one) => one !== name) : [...chosen, name])
                }
              />
            );
          })}
          <TextField
            label={t('others')}
            hint={t('otdrGaugePowerMeterWithCommas')}
            value={others}
            onChange={setOthers}
          />
        </View>
      </View>
      {problem ? (
        <Notice word={t('notBegun')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Button label={t('beginTheVisit')} look="next" onPress={begin} />
    </Card>
  );
}
