import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { type ShownTrace, commands } from '@cordel/client';
import { measuredIso } from '@cordel/core/otdr';
import { traceWarningText } from '@cordel/text/files';
import { hereRows as t } from '@cordel/text/pages/traces/HereRows';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { personNow } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { shotNames } from '../shotName';
import { PlaceForm } from './FileRows';
import type { OwnPlace } from './useTraceImport';

const STEP = 30;

/** The traces that are here: where each belongs, its file, and a way to put it right. */
export function HereRows({ here }: { here: readonly ShownTrace[] }) {
  const colors = useColors();
  const { cable, project } = useProjectView();
  const [find, setFind] = useState('');
  const [shown, setShown] = useState(STEP);
  const [opened, setOpened] = useState<ShownTrace | null>(null);
  if (here.length === 0) return <Text color="ink2">{t('noTracesAreHereYetWithout')}</Text>;
  const wordsOf = ({ place, facts }: ShownTrace): string =>
    place?.cableId
      ? t('fromNmNs', {
          name: cable(place.cableId)?.name ?? '?',
          fiber: place.fiber ?? '?',
          direction: place.direction === 'AB' ? 'A' : 'B',
          wavelengthNm: place.wavelengthNm ?? '?',
          pulseNs: facts.pulseNs,
          stage: place.stage ?? 'installed',
        })
      : place
        ? t('setAsideWhy', { why: place.why ?? '' })
        : t('belongsNowhereYet');
  const moments = here.map((row) => ({ name: row.name, measuredAt: measuredIso(row.facts) }));
  const shotName = shotNames(moments, project.units.timeZone);
  const nameOf = ({ name, facts }: ShownTrace) =>
    shotName({ name, measuredAt: measuredIso(facts) });
  const list = here.filter((row) =>
    `${nameOf(row)} ${wordsOf(row)}`.toLowerCase().includes(find.trim().toLowerCase()),
  );
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('tracesHere', { traces: here.length })}
      </Text>
      {here.length > 12 ? (
        <TextField label={t('findByNameFiberOrWavelength')} value={find} onChange={setFind} />
      ) : null}
      <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
        {list.slice(0, shown).map((row) => (
          <View
            key={row.id}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              flexWrap: 'wrap',
              gap: 8,
              borderBottomWidth: 1,
              borderColor: colors.rule,
            }}
          >
            <View style={{ flexGrow: 1, minWidth: 190 }}>
              <Text kind="strong">{nameOf(row)}</Text>
              <Text color={row.place?.cableId ? 'ink2' : 'accent'}>{wordsOf(row)}</Text>
              {row.receivedAt === null ? <Text>{t('waitsToBeSent')}</Text> : null}
              {row.facts.warnings.map(traceWarningText).map((text) => (
                <Text key={text} kind="small" color="ink2">
                  {text}
                </Text>
              ))}
            </View>
            <Button
              label={t('fixName', { name: nameOf(row) })}
              look="bare"
              icon="pencil-outline"
              onPress={() => setOpened(row)}
            >
              <></>
            </Button>
            {row.receivedAt === null ? null : (
              <Button
                label={t('saveTheFile', { name: nameOf(row) })}
                look="bare"
                icon="download"
                onPress={() => window.open(`/api/traces/${row.id}/file.sor`, '_self')}
              >
                <></>
              </Button>
            )}
          </View>
        ))}
      </View>
      {list.length > shown ? (
        <Button
          label={t('showMoreAreLeft', { list: list.length - shown })}
          onPress={() => setShown(shown + 4 * STEP)}
        />
      ) : null}
      {opened ? <PutRight key={opened.id} row={opened} onDone={() => setOpened(null)} /> : null}
    </View>
  );
}

function PutRight({ row, onDone }: { row: ShownTrace; onDone(): void }) {
  const { project } = useProjectView();
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState('');
  const say = async (place: OwnPlace | null) => {
    const entry = {
      id: uuid(),
      traceId: row.id,
      by: personNow() || t('somebody'),
      at: new Date().toISOString(),
      cableId: place?.cableId ?? null,
      fiber: place?.fiber ?? null,
      direction: place?.direction ?? null,
      wavelengthNm: place?.wavelengthNm ?? null,
      stage: row.place?.stage ?? null,
      why: why.trim() === '' ? null : why.trim(),
    };
    const outcome = await outbox.add(
      commands.placeTraces,
      { projectId: project.id, entries: [entry] },
      t('whereNameBelongs', { name: row.name }),
    );
    if ('refused' in outcome) return setProblem(errorText(outcome.refused));
    onDone();
  };
  return (
    <Sheet title={row.name} visible onClose={onDone}>
      <Text color="ink2">
        {t('theFileSaysCableFiberFrom', {
          cableId: row.facts.cableId,
          fiberId: row.facts.fiberId,
          from: row.facts.from,
          wavelengthNm: row.facts.wavelengthNm,
        })}
      </Text>
      <PlaceForm start={row.place} onSave={(place) => void say(place)} />
      <TextField label={t('whyItIsSetAside')} value={why} onChange={setWhy} />
      <Button label={t('setItAside')} disabled={why.trim() === ''} onPress={() => void say(null)} />
      {problem ? (
        <Notice word={t('notSaved')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
    </Sheet>
  );
}
