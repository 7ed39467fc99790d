import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { SLEEVE_KINDS, formatDiameter } from '@cordel/core';
import { setupText, usualEndLossText, wayText } from '@cordel/text/bench';
import { setupPage as t } from '@cordel/text/pages/bench/SetupPage';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { AtClosure, type Closeup } from './AtClosure';
import { logInstrument } from './useStation';

/** Splicer, programs, cleave and holder for the joint in hand: what fits, and what does not. */
export const SetupPage = () => <AtClosure>{(at) => <SetUp {...at} />}</AtClosure>;

function SetUp({ closure, base, bench, setup, station }: Closeup) {
  const { project, isArchived } = useProjectView();
  const router = useRouter();
  const { kept, change, splicer, cleavers, needs, warnings, ways } = setup;
  const way = setup.setup.way;
  const name = bench.fibers.length > 0 ? bench.words(bench.fibers) : closure;
  const begin = () => {
    if (splicer)
      logInstrument(
        project.id,
        { kind: 'session', instrumentId: splicer.id },
        t('sessionWithName', { name: splicer.name }),
      );
    router.replace(base as never);
  };
  return (
    <Page title={shared('setUpTheSplicer')} above={closure} back={base}>
      <Text>
        {t('inHand', {
          name,
          fibers:
            needs.fibers === 1 ? t('aSingleFiber') : t('fibersAtOnce', { fibers: needs.fibers }),
          program: needs.glass[0],
        })}
      </Text>
      <Choice
        label={t('splicer')}
        value={kept.splicerId ?? ''}
        options={station.splicers
          .filter((one) => one.id === kept.splicerId || !isArchived(one))
          .map((one) => ({ value: one.id, label: one.name }))}
        onChange={(id) => setup.take(station.splicers.find((one) => one.id === id)!)}
      />
      <Choice
        label={t('howItIsJoined')}
        value={way}
        options={ways.map((one) => ({ value: one, label: wayText(one) }))}
        onChange={setup.choose}
      />
      {needs.drop && needs.fibers === 1 ? (
        <Text color="ink2">
          {t('whatADropsEndUsuallyLoses', {
            spliced: usualEndLossText('pigtail'),
            mechanical: usualEndLossText('mechanical'),
          })}
        </Text>
      ) : null}
      {warnings.map(({ about, message }) => (
        <Notice key={`${about} ${message.code}`} word={t('doesNotFit')} color="accent" live>
          {setupText(message)}
        </Notice>
      ))}
      {splicer && warnings.length === 0 ? (
        <Notice word={t('fits')} color="green">
          {t('programHeaterHolderAndCleaveGo')}
        </Notice>
      ) : null}
      {splicer ? (
        <>
          <Choice
            label={t('program')}
            value={kept.program ?? ''}
            options={splicer.programs.map((one) => ({
              value: one.name,
              label: `${one.name} (${one.glass}${one.fibers > 1 ? t('upToFibers', { fibers: one.fibers }) : ''})`,
            }))}
            onChange={(program) => change({ program })}
          />
          <Choice
            label={shared('sleeves')}
            value={kept.sleeve}
            options={SLEEVE_KINDS.map((kind) => ({ value: kind, label: kind }))}
            onChange={(sleeve) => change({ sleeve })}
          />
          <Choice
            label={t('heaterProgram')}
            value={kept.heaterProgram ?? ''}
            options={splicer.heaterPrograms.map((one) => ({
              value: one.name,
              label: `${one.name}, ${one.seconds} s`,
            }))}
            onChange={(heaterProgram) => change({ heaterProgram })}
          />
          <Choice
            label={t('holder')}
            value={String(kept.holder ?? '')}
            options={splicer.holders.map((count) => ({
              value: String(count),
              label: count === 1 ? 'single' : t('countFibers', { count }),
            }))}
            onChange={(count) => change({ holder: Number(count) })}
          />
          <Choice
            label={t('cleaver')}
            value={kept.cleaverId ?? ''}
            options={cleavers.map((one) => ({ value: one.id, label: one.name }))}
            onChange={(cleaverId) => change({ cleaverId })}
          />
          <Choice
            label={t('cleaveLength')}
            value={String(kept.cleaveLength ?? '')}
            options={splicer.cleaveLengths.map((length) => ({
              value: String(length),
              label: formatDiameter(length, 'mm'),
            }))}
            onChange={(length) => change({ cleaveLength: Number(length) })}
          />
          {project.practiceOnly ? (
            <Choice
              label={t('itsRecordsComeFrom')}
              value={kept.standin ? 'standin' : 'line'}
              options={[
                { value: 'line', label: t('theSplicersLine') },
                { value: 'standin', label: t('theSimulatedSplicer') },
              ]}
              onChange={(from) => change({ standin: from === 'standin' })}
            />
          ) : null}
          <View style={{ gap: 8 }}>
            <Button label={t('beginTheSession')} look="next" onPress={begin} />
            <Button
              label={shared('backToTheBench')}
              onPress={() => router.replace(base as never)}
            />
            <Button
              label={shared('recordsFromAFile')}
              onPress={() => router.push(`${base}/records` as never)}
            />
          </View>
        </>
      ) : (
        <Notice>{t('chooseASplicerAndWhatFits')}</Notice>
      )}
    </Page>
  );
}
