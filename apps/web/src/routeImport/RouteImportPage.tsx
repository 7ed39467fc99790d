import { wrap } from 'comlink';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { type Parsed, formatDistance, parseDistance } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { geoNoteText, geoProblemText } from '@cordel/text/files';
import { distanceProblemText } from '@cordel/text/measure';
import { type GeoProblem } from '@cordel/core/geo';
import { routeImportPage as t } from '@cordel/text/pages/routeImport/RouteImportPage';
import { common } from '@cordel/text/pages/common';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { SameNamesPart } from '@/splices/SameNamesPart';
import { useSameNames } from '@/splices/useSameNames';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { FoundClosures } from './FoundClosures';
import type { RouteReader, RoutePreview } from './route.worker';

/** Imports a route and its closures as GeoJSON, after a look. */
export function RouteImportPage() {
  const { project, closures } = useProjectView();
  const router = useRouter();
  const [worker] = useState(() => new Worker(new URL('./route.worker', import.meta.url)));
  const reader = useMemo(() => wrap<RouteReader>(worker), [worker]);
  useEffect(() => () => worker.terminate(), [worker]);
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [swap, setSwap] = useState(false);
  const [start, setStart] = useState('0');
  const [found, setFound] = useState<Parsed<RoutePreview, GeoProblem> | null>(null);
  const [problem, setProblem] = useState('');
  const [done, setDone] = useState<{ placed: number; added: number } | null>(null);
  const unit = project.units.distance;
  const names = useSameNames(
    (found?.ok ? found.value.sameNames : []).map((one) => ({ ...one, noun: 'closure' as const })),
  );
  // The project may be read, or written by somebody, after the file was chosen: its names are compared anew.
  const knownKey = JSON.stringify(closures.map(({ name }) => name));
  useEffect(() => {
    if (!file) return undefined;
    let isOver = false;
    void reader.read(file.text, swap, JSON.parse(knownKey) as string[]).then((read) => {
      if (!isOver) setFound(read);
    });
    return () => {
      isOver = true;
    };
  }, [reader, file, swap, knownKey]);
  const choose = async () => {
    const chosen = await pickFile('.geojson,.json,application/geo+json,application/json');
    if (!chosen) return;
    const text = await chosen.text();
    setDone(null);
    setFound(null);
    setSwap(false);
    setFile({ name: chosen.name, text });
  };
  const from = parseDistance(start, unit);
  const runImport = async () => {
    if (!file || !from.ok) return;
    setProblem('');
    const outcome = await outbox.add(
      commands.importRoute,
      {
        projectId: project.id,
        importId: uuid(),
        text: file.text,
        swap,
        start: from.value,
        sameNames: names.sameOf('closure'),
      },
      t('routeName', { name: file.name }),
    );
    if ('refused' in outcome) setProblem(errorText(outcome.refused));
    else setDone(outcome.answer);
  };
  return (
    <Page
      title={common('importARoute')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <Text>{t('geojsonInLongitudeAndLatitudeRfc')}</Text>
      <Button
        label={common('chooseAFile')}
        icon="file-upload-outline"
        look={file ? 'plain' : 'next'}
        onPress={() => void choose()}
      />
      {file && found && !found.ok ? (
        <Notice word={common('notRead')} color="accent" live>
          {`${file.name}: ${geoProblemText(found.error)}`}
        </Notice>
      ) : null}
      {file && found && (!found.ok || found.value.closures.length > 0) ? (
        <Button
          role="checkbox"
          aria-checked={swap}
          label={t('latitudeComesFirstInThisFile')}
          icon={swap ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
          onPress={() => {
            setDone(null);
            setSwap(!swap);
          }}
        />
      ) : null}
      {file && found?.ok && !done ? (
        <Card style={{ gap: 10 }}>
          <Text kind="name" heading={2}>
            {file.name}
          </Text>
          {found.value.lines.map((line, index) => (
            <Text key={index}>
              {t('movedTo', {
                name: line.name,
                distance: formatDistance(Math.round(found.value.lengths[index]! * 10_000), unit),
                from: placeWords(line.points[0]!),
                to: placeWords(line.points.at(-1)!),
              })}
            </Text>
          ))}
          {found.value.notes.map((note) => (
            <Notice key={note.code}>{geoNoteText(note)}</Notice>
          ))}
          <TextField
            label={t('theLineBeginsAt')}
            hint={t('distanceAlongTheRoute', { unit })}
            value={start}
            onChange={setStart}
          />
          {from.ok ? null : <Text color="accent">{distanceProblemText(from.error)}</Text>}
          <SameNamesPart names={names} />
          <FoundClosures
            found={found.value.closures}
            start={from.ok ? from.value : 0}
            sameNames={names.sameOf('closure')}
          />
          <Button
            label={t('importClosures', { closures: found.value.closures.length })}
            look="next"
            disabled={!from.ok || names.open > 0}
            onPress={() => void runImport()}
          />
        </Card>
      ) : null}
      {problem ? (
        <Notice word={common('notImported')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      {done ? (
        <Card style={{ gap: 10 }}>
          <Notice word={common('imported')} color="green" live>
            {t('closuresPlacedNew', { closures: done.placed, added: done.added })}
          </Notice>
          <Button
            label={t('seeTheRoute')}
            look="next"
            onPress={() => router.replace(`/p/${project.id}/route` as never)}
          />
        </Card>
      ) : null}
    </Page>
  );
}

/** A place in words that show at once whether the axes are crossed. */
function placeWords([lon, lat]: readonly [number, number]): string {
  return `${Math.abs(lat).toFixed(4)}° ${lat < 0 ? 'south' : 'north'} ${Math.abs(lon).toFixed(4)}° ${lon < 0 ? 'west' : 'east'}`;
}
