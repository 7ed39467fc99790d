import type { Paper } from '@cordel/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { NamePanel } from '@/bench/NamePanel';
import { useSummary } from '@/data/queries';
import { usePerson } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Choice } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Progress, byteWords, rowWords } from '@/ui/Progress';
import { Select } from '@/ui/Select';
import { Txt } from '@/ui/Txt';
import { type ShownPackage, usePackages } from './usePackages';

const INSIDE = [
  'PDF for people: verdicts, splice sheets, losses, inspection, pressure tests, signatures, traces',
  'XLSX and CSV, JSON with its schema, GeoJSON of the route',
  'Traces and photos byte for byte, what was signed, and a list of SHA-256 to check it all by',
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
  if (person === '') return <NamePanel onward="Go on to the package" />;
  const rows = summary.data?.closures.filter(
    ({ closureId }) => chosen === '' || closureId === chosen,
  );
  const unsigned = rows?.filter(({ closing }) => closing !== 'done') ?? [];
  const failing = rows?.filter(({ verdict }) => verdict === 'fail') ?? [];
  const running = query.data?.some(({ state }) => state === 'making');
  return (
    <Page title="Hand over" above={project.name} back={`/p/${project.id}/kit`}>
      <Grid least={460} gap={16}>
        <Leaf style={{ gap: 12 }}>
          <Select
            label="What is handed over"
            value={chosen}
            options={[
              { value: '', label: 'The whole project' },
              ...closures.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={setChosen}
          />
          <Choice<Paper>
            label="Paper of the PDF"
            value={paper}
            options={[
              { value: 'A4', label: 'A4' },
              { value: 'Letter', label: 'Letter' },
            ]}
            onChange={setPaper}
          />
          {failing.length > 0 || unsigned.length > 0 ? (
            <Notice word="It says what is.">
              {[
                failing.length > 0 ? `Failing: ${failing.map(({ name }) => name).join(', ')}.` : '',
                unsigned.length > 0
                  ? `Not signed: ${unsigned.map(({ name }) => name).join(', ')}.`
                  : '',
              ]
                .filter(Boolean)
                .join(' ')}
            </Notice>
          ) : null}
          <Press
            label="Make the package"
            look="next"
            disabled={running}
            onPress={() => void ask(chosen || null, paper)}
          />
          {INSIDE.map((line) => (
            <Txt key={line} ink="ink2">
              {line}
            </Txt>
          ))}
        </Leaf>
        <View style={{ gap: 16 }}>
          {query.data ? (
            query.data.map((one) => (
              <PackageLeaf
                key={one.id}
                made={one}
                name={closures.find(({ id }) => id === one.closureId)?.name ?? 'The whole project'}
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
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{`${name}, ${made.paper}`}</Txt>
      <Txt ink="ink2">{`${moment(made.at)}, ${made.by}`}</Txt>
      {state === 'making' || state === 'stopping' ? (
        <>
          <Progress label="Package" done={made.done} total={made.total}>
            {`${rowWords(made.done, made.total)}${made.part ? `, ${made.part}` : ''}`}
          </Progress>
          <Press label="Stop" disabled={state === 'stopping'} onPress={onStop} />
        </>
      ) : null}
      {state === 'stopped' ? <Txt>Stopped; nothing of it is left.</Txt> : null}
      {state === 'failed' ? (
        <Notice word="Not made." ink="accent">
          {made.problem}
        </Notice>
      ) : null}
      {state === 'done' && digest ? (
        <>
          <Press
            label={`Save the zip, ${byteWords(size ?? 0)}`}
            look="next"
            icon="download"
            onPress={() => window.open(`/api/packages/${made.id}/file.zip`, '_self')}
          />
          <Txt kind="small" selectable style={{ fontFamily: 'monospace' }}>
            {`SHA-256 ${(digest.match(/.{16}/g) ?? []).join(' ')}`}
          </Txt>
        </>
      ) : null}
    </Leaf>
  );
}
