import type { Paper } from '@cordel/core';
import { handoverPage as t } from '@cordel/text/pages/handover/HandoverPage';
import { common } from '@cordel/text/pages/common';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { NamePanel } from '@/bench/NamePanel';
import { useSummary } from '@/data/queries';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Choice } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Progress, byteWords, rowWords } from '@/ui/Progress';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { type ShownPackage, usePackages } from './usePackages';

const PAPERS: { value: Paper; label: string }[] = [
  { value: 'A4', label: 'A4' },
  { value: 'Letter', label: t('letter') },
];

const INSIDE = [
  t('pdfForPeopleVerdictsSpliceSheets'),
  t('xlsxAndCsvJsonWithIts'),
  t('tracesAndPhotosByteForByte'),
];

/** Handing over: the as-built package of the project or of one closure. */
export function HandoverPage() {
  const { closure: wanted } = useLocalSearchParams<{ closure?: string }>();
  const { project, closures } = useProjectView();
  const [person] = usePerson();
  const summary = useSummary(project.id);
  const { query, ask, stop } = usePackages(project.id);
  const [chosen, setChosen] = useState(wanted ?? '');
  const [paper, setPaper] = useState<Paper>(project.units.paper);
  if (person === '') return <NamePanel onward={t('goOnToThePackage')} />;
  const rows = summary.data?.closures.filter(
    ({ closureId }) => chosen === '' || closureId === chosen,
  );
  const unsigned = rows?.filter(({ closing }) => closing !== 'done') ?? [];
  const failing = rows?.filter(({ verdict }) => verdict === 'fail') ?? [];
  const running = query.data?.some(({ state }) => state === 'making');
  return (
    <Page title={t('handOver')} above={project.name} back={`/p/${project.id}/kit`}>
      <Grid least={460} gap={16}>
        <Card style={{ gap: 12 }}>
          <Select
            label={t('whatIsHandedOver')}
            value={chosen}
            options={[
              { value: '', label: t('theWholeProject') },
              ...closures.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={setChosen}
          />
          <Choice<Paper>
            label={t('paperOfThePdf')}
            value={paper}
            options={PAPERS}
            onChange={setPaper}
          />
          {failing.length > 0 || unsigned.length > 0 ? (
            <Notice word={t('thePackageSaysSo')}>
              {[
                failing.length > 0
                  ? t('failing', { failing: failing.map(({ name }) => name).join(', ') })
                  : '',
                unsigned.length > 0
                  ? t('notSignedUnsigned', {
                      unsigned: unsigned.map(({ name }) => name).join(', '),
                    })
                  : '',
              ]
                .filter(Boolean)
                .join(' ')}
            </Notice>
          ) : null}
          <Button
            label={t('makeThePackage')}
            look="next"
            disabled={running}
            onPress={() => void ask(chosen || null, paper)}
          />
          {INSIDE.map((line) => (
            <Text key={line} color="ink2">
              {line}
            </Text>
          ))}
        </Card>
        <View style={{ gap: 16 }}>
          {query.data ? (
            query.data.map((one) => (
              <PackageLeaf
                key={one.id}
                made={one}
                name={closures.find(({ id }) => id === one.closureId)?.name ?? t('theWholeProject')}
                onStop={() => void stop(one.id).then(() => query.refetch())}
              />
            ))
          ) : (
            <Waiting error={query.error} />
          )}
        </View>
      </Grid>
    </Page>
  );
}

function PackageLeaf({ made, name, onStop }: { made: ShownPackage; name: string; onStop(): void }) {
  const { state, digest, size } = made;
  const { moment } = useClock();
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{`${name}, ${made.paper}`}</Text>
      <Text color="ink2">{`${moment(made.at)}, ${made.by}`}</Text>
      {state === 'making' || state === 'stopping' ? (
        <>
          <Progress label={t('package')} done={made.done} total={made.total}>
            {`${rowWords(made.done, made.total)}${made.part ? `, ${made.part}` : ''}`}
          </Progress>
          <Button label={common('stop')} disabled={state === 'stopping'} onPress={onStop} />
        </>
      ) : null}
      {state === 'stopped' ? <Text>{t('stoppedNothingOfItIsLeft')}</Text> : null}
      {state === 'failed' ? (
        <Notice word={t('notMade')} color="accent">
          {made.problem}
        </Notice>
      ) : null}
      {state === 'done' && digest ? (
        <>
          <Button
            label={t('saveTheZip', { byte: byteWords(size ?? 0) })}
            look="next"
            icon="download"
            onPress={() => window.open(`/api/packages/${made.id}/file.zip`, '_self')}
          />
          <Text kind="small" selectable style={{ fontFamily: 'monospace' }}>
            {t('sha256Match', { match: (digest.match(/.{16}/g) ?? []).join(' ') })}
          </Text>
        </>
      ) : null}
    </Card>
  );
}
