import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { formatDistance, parseDistance, parseMakeUp, plural } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useWide } from '@/ui/useWide';
import { RowFields } from './RowFields';
import { useTypedNetwork } from './useTypedNetwork';

/** Cables and closures typed one after the other, then the closures to plan. */
export function NetworkPage() {
  const { project } = useProjectView();
  const wide = useWide();
  const network = useTypedNetwork();
  const { rows, problems, change, count } = network;
  const unit = project.units.distance;
  return (
    <Page title="Cables and closures" above={project.name} back={`/p/${project.id}/route`}>
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 20 }}>
        <Leaf style={{ flex: wide ? 1 : undefined, gap: 10 }}>
          <Txt kind="name" heading={2}>
            Cables
          </Txt>
          <RowFields
            noun="Cable"
            figure="Fibers"
            hint="Fibers: 144, 12x24 (tubes x fibers), 24 ribbons, drop 12. Enter goes on."
            rows={rows.cables}
            problems={problems}
            feedback={({ figure }) => {
              const read = parseMakeUp(figure);
              return read.ok ? makeUpText(read.value) : '';
            }}
            onChange={(row) => change('cables', row)}
          />
        </Leaf>
        <Leaf style={{ flex: wide ? 1 : undefined, gap: 10 }}>
          <Txt kind="name" heading={2}>
            Closures
          </Txt>
          <RowFields
            noun="Closure"
            figure="Distance"
            hint={`Distance from the start, in ${unit} where no unit is typed; may be left out.`}
            rows={rows.closures}
            problems={problems}
            feedback={({ figure }) => {
              const read = parseDistance(figure, unit);
              return read.ok ? formatDistance(read.value, unit) : '';
            }}
            onChange={(row) => change('closures', row)}
          />
        </Leaf>
      </View>
      {problems.size > 0 ? (
        <Notice word="Not saved." ink="accent" live>
          {`${plural(problems.size, 'row')} to fix first.`}
        </Notice>
      ) : null}
      {network.savedCount > 0 ? (
        <Notice word="Saved." ink="green" live>
          {plural(network.savedCount, 'row')}
        </Notice>
      ) : null}
      <Press
        label={count === 0 ? 'Save' : `Save ${plural(count, 'row')}`}
        look="next"
        disabled={count === 0}
        onPress={() => void network.save()}
      />
      <Plans />
    </Page>
  );
}

/** What is there already, and the way to each closure's plan. */
function Plans() {
  const { project, cables, closures, isArchived } = useProjectView();
  const router = useRouter();
  const rows = useSummary(project.id).data?.closures ?? [];
  if (cables.length + closures.length === 0) return null;
  const splices = new Map(rows.map(({ closureId, total }) => [closureId, total]));
  return (
    <View style={{ gap: 8 }}>
      <Txt kind="name" heading={2}>
        Here already
      </Txt>
      {cables.length > 0 ? (
        <Txt>{`Cables: ${cables.map(({ name }) => name).join(', ')}`}</Txt>
      ) : null}
      <Grid>
        {closures
          .filter((closure) => !isArchived(closure))
          .map(({ id, name }) => (
            <Press
              key={id}
              style={{ justifyContent: 'space-between' }}
              onPress={() => router.push(`/p/${project.id}/route/${id}/plan` as never)}
            >
              <Txt kind="strong">{`Plan ${name}`}</Txt>
              <Txt ink="ink2">{plural(splices.get(id) ?? 0, 'splice')}</Txt>
            </Press>
          ))}
      </Grid>
    </View>
  );
}
