import { View } from 'react-native';
import { formatDay } from '@cordel/core';
import { overTime as t } from '@cordel/text/pages/traces/OverTime';
import { useProjectView } from '@/projects/context';
import { Waiting } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { type CircuitAnswer, type HistoryAnswer, useHistory } from '../queries';
import { TableRow } from './TableRow';

type Series = HistoryAnswer[number];

/** How wide the columns are beside each other. */
const SHARES = [1, 1, 1, 1.6];

/** The same fiber over the years: what moved since its first shot, by how much, and how sure that is. */
export function OverTime({
  circuit,
  cableId,
  fiber,
}: {
  circuit: CircuitAnswer;
  cableId: string;
  fiber: number;
}) {
  const { project } = useProjectView();
  const { data, error, refetch } = useHistory(project.id, cableId, fiber);
  if (!data) return <Waiting error={error} again={() => void refetch()} />;
  const compared = data.filter(({ shots }) => shots.length > 1);
  return (
    <View style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {t('heading')}
      </Text>
      {compared.length === 0 ? <Text color="ink2">{t('shotOnce')}</Text> : null}
      {data
        .filter(({ reels }) => reels.length > 0)
        .map((series) => (
          <ReelTable
            key={`${series.direction} ${series.wavelengthNm}`}
            series={series}
            circuit={circuit}
          />
        ))}
      {compared.map((series) => (
        <SeriesTable
          key={`${series.direction} ${series.wavelengthNm}`}
          series={series}
          circuit={circuit}
        />
      ))}
    </View>
  );
}

const loss = ({ lossDb, sigmaDb }: { lossDb: number; sigmaDb: number }): string =>
  t('lossSigma', { loss: lossDb.toFixed(3), sigma: (2 * sigmaDb).toFixed(3) });

/** A change with its sign; none where nothing is left of it. */
const signed = (db: number): string => {
  const text = db.toFixed(3);
  return Number(text) === 0 ? '0.000' : db > 0 ? `+${text}` : text;
};

/** Each cable's fiber as it was on its reel, and as it is now where it lies. */
function ReelTable({ series, circuit }: { series: Series; circuit: CircuitAnswer }) {
  const colors = useColors();
  const { points, spans } = circuit;
  const from = (series.direction === 'AB' ? points[0] : points.at(-1))!.name;
  return (
    <View style={{ gap: 4 }}>
      <Text kind="strong" heading={3}>
        {`${t('reelSeries')}: ${t('fromAt', { from, wavelengthNm: series.wavelengthNm })}`}
      </Text>
      <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
        <TableRow
          strong
          cells={[t('place'), t('onTheReel'), t('newest'), t('change')]}
          shares={SHARES}
        />
        {series.reels.map((reel) => (
          <TableRow
            key={reel.span}
            shares={SHARES}
            color={reel.verdict === 'moved' ? 'accent' : 'ink'}
            cells={[
              t('reelRow', {
                cable: spans[reel.span]!.cable,
                from: points[reel.span]!.name,
                to: points[reel.span + 1]!.name,
              }),
              t('reelCell', { loss: reel.reelDbPerKm.toFixed(3) }),
              t('reelCell', { loss: reel.nowDbPerKm.toFixed(3) }),
              `${signed(reel.byDb)} ± ${(2 * reel.sigmaDb).toFixed(3)} dB, ${t('moved', { verdict: reel.verdict })}`,
            ]}
          />
        ))}
      </View>
    </View>
  );
}

function SeriesTable({ series, circuit }: { series: Series; circuit: CircuitAnswer }) {
  const colors = useColors();
  const { project } = useProjectView();
  const { points } = circuit;
  const from = (series.direction === 'AB' ? points[0] : points.at(-1))!.name;
  return (
    <View style={{ gap: 4 }}>
      <Text kind="strong" heading={3}>
        {t('series', {
          from,
          wavelengthNm: series.wavelengthNm,
          days: series.shots
            .map(({ measuredAt }) =>
              measuredAt ? formatDay(measuredAt, project.units.timeZone) : t('dayUnknown'),
            )
            .join(', '),
        })}
      </Text>
      <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
        <TableRow
          strong
          cells={[t('place'), t('first'), t('newest'), t('change')]}
          shares={SHARES}
        />
        {series.changes.map((change) => (
          <TableRow
            shares={SHARES}
            key={change.point ?? 'whole'}
            color={change.verdict === 'moved' ? 'accent' : 'ink'}
            cells={[
              change.point === null ? t('whole') : points[change.point]!.name,
              loss(change.first),
              loss(change.newest),
              `${signed(change.byDb)} ± ${(2 * change.sigmaDb).toFixed(3)} dB, ${t('moved', { verdict: change.verdict })}`,
            ]}
          />
        ))}
      </View>
    </View>
  );
}
