import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { SLEEVE_KINDS, formatLength } from '@cordel/core';
import { setupText, usualEndLossText, wayText } from '@cordel/text/bench';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { AtClosure, type Closeup } from './AtClosure';
import { logInstrument } from './useStation';

/** Splicer, programs, cleave and holder for the joint in hand: what fits, and what does not. */
export const SetupPage = () => <AtClosure>{(at) => <SetUp {...at} />}</AtClosure>;

function SetUp({ closure, base, bench, setup, station }: Closeup) {
  const { project, isArchived } = useProjectView();
  const router = useRouter();
  const unit = project.units.length;
  const { kept, change, splicer, cleavers, needs, warnings, ways } = setup;
  const way = setup.setup.way;
  const name = bench.fibers.length > 0 ? bench.words(bench.fibers) : closure;
  const begin = () => {
    if (splicer)
      logInstrument(
        project.id,
        { kind: 'session', instrumentId: splicer.id },
        `Session with ${splicer.name}`,
      );
    router.replace(base as never);
  };
  return (
    <Page title="Set up the splicer" above={closure} back={base}>
      <Txt>{`In hand: ${name}, ${needs.fibers === 1 ? 'a single fiber' : `${needs.fibers} fibers at once`}, ${needs.glass[0]}.`}</Txt>
      <Choice
        label="Splicer"
        value={kept.splicerId ?? ''}
        options={station.splicers
          .filter((one) => one.id === kept.splicerId || !isArchived(one))
          .map((one) => ({ value: one.id, label: one.name }))}
        onChange={(id) => setup.take(station.splicers.find((one) => one.id === id)!)}
      />
      <Choice
        label="How it is joined"
        value={way}
        options={ways.map((one) => ({ value: one, label: wayText(one) }))}
        onChange={setup.choose}
      />
      {needs.drop && needs.fibers === 1 ? (
        <Txt ink="ink2">
          {`What a drop’s end usually loses: splice-on and pigtail ${usualEndLossText('pigtail')}; mechanical ${usualEndLossText('mechanical')}.`}
        </Txt>
      ) : null}
      {warnings.map(({ about, message }) => (
        <Notice key={`${about} ${message.code}`} word="Does not fit." ink="accent" live>
          {setupText(message)}
        </Notice>
      ))}
      {splicer && warnings.length === 0 ? (
        <Notice word="Fits." ink="green">
          Program, heater, holder and cleave go with what the plan says.
        </Notice>
      ) : null}
      {splicer ? (
        <>
          <Choice
            label="Program"
            value={kept.program ?? ''}
            options={splicer.programs.map((one) => ({
              value: one.name,
              label: `${one.name} (${one.glass}${one.fibers > 1 ? `, up to ${one.fibers}` : ''})`,
            }))}
            onChange={(program) => change({ program })}
          />
          <Choice
            label="Sleeves"
            value={kept.sleeve}
            options={SLEEVE_KINDS.map((kind) => ({ value: kind, label: kind }))}
            onChange={(sleeve) => change({ sleeve })}
          />
          <Choice
            label="Heater program"
            value={kept.heaterProgram ?? ''}
            options={splicer.heaterPrograms.map((one) => ({
              value: one.name,
              label: `${one.name}, ${one.seconds} s`,
            }))}
            onChange={(heaterProgram) => change({ heaterProgram })}
          />
          <Choice
            label="Holder"
            value={String(kept.holder ?? '')}
            options={splicer.holders.map((count) => ({
              value: String(count),
              label: count === 1 ? 'single' : `${count} fibers`,
            }))}
            onChange={(count) => change({ holder: Number(count) })}
          />
          <Choice
            label="Cleaver"
            value={kept.cleaverId ?? ''}
            options={cleavers.map((one) => ({ value: one.id, label: one.name }))}
            onChange={(cleaverId) => change({ cleaverId })}
          />
          <Choice
            label="Cleave length"
            value={String(kept.cleaveLength ?? '')}
            options={splicer.cleaveLengths.map((length) => ({
              value: String(length),
              label: unit === 'mm' ? `${length / 10} mm` : formatLength(length, unit, 'near'),
            }))}
            onChange={(length) => change({ cleaveLength: Number(length) })}
          />
          {project.practiceOnly ? (
            <Choice
              label="Its records come from"
              value={kept.standin ? 'standin' : 'line'}
              options={[
                { value: 'line', label: 'the splicer’s line' },
                { value: 'standin', label: 'the simulated splicer' },
              ]}
              onChange={(from) => change({ standin: from === 'standin' })}
            />
          ) : null}
          <View style={{ gap: 8 }}>
            <Press label="Begin the session" look="next" onPress={begin} />
            <Press label="Back to the Bench" onPress={() => router.replace(base as never)} />
            <Press
              label="Records from a file"
              onPress={() => router.push(`${base}/records` as never)}
            />
          </View>
        </>
      ) : (
        <Notice>
          Choose a splicer and what fits is set. Your own ones are in the Kit, under Instruments.
        </Notice>
      )}
    </Page>
  );
}
