import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { takeAlongPage as t } from '@cordel/text/pages/takeAlong/TakeAlongPage';
import { momentHere } from '@/accounts/zone';
import { whyNotKept } from '@/data/serviceWorker';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Progress } from '@/ui/Progress';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';
import type { Taken } from './taken';
import { useTakeAlong } from './useTakeAlong';

const MEGABYTE = 1024 * 1024;

const megabytes = (bytes: number): string => (bytes / MEGABYTE).toFixed(1);

/** Whether the browser has promised to keep what is stored; null where it does not say. */
function usePersistence(again: unknown): boolean | null {
  const [isKept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    void navigator.storage?.persisted?.().then(setKept, () => setKept(null));
  }, [again]);
  return isKept;
}

/** Takes a project, or some closures of it, along on the device, for work without a connection. */
export function TakeAlongPage() {
  const { project, closures, isArchived } = useProjectView();
  const { taken, progress, problem, take, stop, leave } = useTakeAlong(project.id);
  const [scope, setScope] = useState<'all' | 'some'>(taken?.closureIds ? 'some' : 'all');
  const [chosen, setChosen] = useState<readonly string[]>(taken?.closureIds ?? []);
  const [hasTraces, setTraces] = useState(taken?.hasTraces ?? false);
  const isKept = usePersistence(taken?.at);
  const why = whyNotKept();
  const live = closures.filter((closure) => !isArchived(closure));
  const wish = { closureIds: scope === 'all' ? null : [...chosen], hasTraces };
  const nameOf = (id: string) => closures.find((closure) => closure.id === id)?.name ?? id;
  return (
    <Page title={t('takeAlong')} above={project.name} back={`/p/${project.id}/kit`}>
      <Text>{t('says')}</Text>
      {why ? (
        <Notice word={t('check')} color="accent">
          {why === 'plainHttp' ? t('plainHttp') : t('notSupported')}
        </Notice>
      ) : null}
      {taken ? <TakenCard taken={taken} isKept={isKept} nameOf={nameOf} /> : null}
      {problem ? (
        <Notice word={t('notTaken')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Choice<'all' | 'some'>
        label={t('what')}
        value={scope}
        options={[
          { value: 'all', label: t('allClosures', { closures: live.length }) },
          { value: 'some', label: t('someClosures') },
        ]}
        onChange={setScope}
      />
      {scope === 'some' ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {live.map(({ id, name }) => (
            <Button
              key={id}
              role="checkbox"
              aria-checked={chosen.includes(id)}
              label={name}
              look={chosen.includes(id) ? 'dark' : 'plain'}
              onPress={() =>
                setChosen(
                  chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id],
                )
              }
            />
          ))}
        </View>
      ) : null}
      <Toggle label={t('withTraces')} isOn={hasTraces} onChange={setTraces} />
      {progress ? (
        <View style={{ gap: 10 }} aria-busy>
          <Progress label={t('takeAlong')} {...progress}>
            {t('progress', progress)}
          </Progress>
          <Button label={t('stop')} onPress={stop} />
        </View>
      ) : (
        <Button
          label={taken ? t('again') : t('takeIt')}
          look="next"
          disabled={scope === 'some' && chosen.length === 0}
          onPress={() => void take(wish)}
        />
      )}
      {taken && !progress ? <Button label={t('leave')} onPress={leave} /> : null}
      <Text kind="name" heading={2}>
        {t('worksTitle')}
      </Text>
      <Text>{t('works')}</Text>
      <Text>{t('worksNot')}</Text>
    </Page>
  );
}

function TakenCard({
  taken,
  isKept,
  nameOf,
}: {
  taken: Taken;
  isKept: boolean | null;
  nameOf(id: string): string;
}) {
  const { at, bytes, closureIds, missing, rows, totalRows } = taken;
  return (
    <Card style={{ gap: 6 }}>
      <Text kind="strong">{at ? t('takenAt', { moment: momentHere(at) }) : t('neverWhole')}</Text>
      <Text>
        {t('size', {
          megabytes: megabytes(bytes),
          closures: closureIds === null ? -1 : closureIds.length,
        })}
      </Text>
      {missing.length > 0 ? (
        <Notice word={t('missing')} color="accent">
          {missing.map(nameOf).join(', ')}
        </Notice>
      ) : null}
      {rows < totalRows ? <Text>{t('someRows', { rows, total: totalRows })}</Text> : null}
      <Text color="ink2">{isKept ? t('kept') : t('mayGo')}</Text>
    </Card>
  );
}
