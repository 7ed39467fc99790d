import { Pressable, View } from 'react-native';
import { type LinkJudgement, formatHalf, formatLoss } from '@cordel/core';
import { linkCauseText } from '@cordel/text/links';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { Text } from '@/ui/Text';
import { type Colors, useColors } from '@/ui/theme';
import type { ShownLink } from './useLinks';

const VERDICTS: Record<LinkJudgement['verdict'], { word: string; ink: keyof Colors }> = {
  pass: { word: t('passes'), ink: 'green' },
  fail: { word: t('fails'), ink: 'accent' },
  'one way': { word: t('oneWay'), ink: 'ink2' },
  'no limit': { word: t('noLimit'), ink: 'ink2' },
};

/** A circuit: measured against its budget and its parts at each wavelength, and what is likely where they disagree. */
export function LinkRow({
  link,
  isChosen,
  onChoose,
}: {
  link: ShownLink;
  isChosen: boolean;
  onChoose(): void;
}) {
  const colors = useColors();
  const { judgements, causes } = link.verdict;
  const isSeen = link.state.continuity?.seen === 'here';
  return (
    <Pressable
      role="button"
      aria-label={t('fiberFromTo', link)}
      aria-current={isChosen}
      onPress={onChoose}
      style={{
        borderTopWidth: 1,
        borderColor: colors.rule,
        borderLeftWidth: 6,
        borderLeftColor: isChosen ? colors.ink : 'transparent',
        paddingVertical: 10,
        paddingLeft: 8,
        minHeight: 56,
        gap: 4,
      }}
    >
      <Text>
        <Text kind="strong">{t('fiberFromTo', link)}</Text>
        {isSeen ? ` · ${t('lightSeen')}` : ''}
        {judgements.length === 0 ? ` · ${t('notMeasured')}` : ''}
      </Text>
      {judgements.map((judged) => (
        <Judged key={judged.wavelengthNm} judged={judged} link={link} />
      ))}
      {causes.map((cause) => (
        <Text key={cause.code} color="accent">
          {linkCauseText(cause)}
        </Text>
      ))}
    </Pressable>
  );
}

function Judged({ judged, link }: { judged: LinkJudgement; link: ShownLink }) {
  const { wavelengthNm, lossHalfMdb, isTwoWay, parts, excessMdb, agreement } = judged;
  const verdict = VERDICTS[judged.verdict];
  const loss = link.state.losses.find((one) => one.wavelengthNm === wavelengthNm)!;
  const back = loss.returnLoss.AB ?? loss.returnLoss.BA;
  const excess = excessMdb === null ? '' : formatLoss(Math.round(Math.abs(excessMdb) / 10) * 10);
  const lines = [
    t('directions', {
      from: link.from,
      ab: loss.AB ? formatLoss(loss.AB.lossMdb) : '–',
      to: link.to,
      ba: loss.BA ? formatLoss(loss.BA.lossMdb) : '–',
    }),
    parts &&
      t('partsLose', {
        parts: (parts.lossMdb / 1000).toFixed(2),
        error: ((2 * parts.sigmaMdb) / 1000).toFixed(2),
        by: parts.by,
      }),
    judged.leftOutHalfMdb > 0
      ? t('connectorsBesides', { loss: formatHalf(judged.leftOutHalfMdb) })
      : null,
    back && t('returnsAt', { loss: formatLoss(back.lossMdb) }),
  ];
  return (
    <View>
      <Text>
        <Text kind="strong">{`${wavelengthNm} nm: `}</Text>
        {t(isTwoWay ? 'meanOf' : 'oneWayOf', { loss: formatHalf(lossHalfMdb) })}
        {parts ? `, ${t('ofAtMost', { limit: (parts.limitMdb / 1000).toFixed(2) })}` : ''}
        {': '}
        <Text kind="strong" color={verdict.ink}>
          {judged.overHalfMdb === null
            ? verdict.word
            : t('overBy', { over: formatHalf(judged.overHalfMdb) })}
        </Text>
        {judged.overHalfMdb !== null && !isTwoWay ? `, ${t('otherWayMissing')}` : ''}
        {agreement === 'agrees' ? `, ${t('agreesWithParts')}` : ''}
        {agreement === 'more' ? `, ${t('moreThanParts', { excess })}` : ''}
        {agreement === 'less' ? `, ${t('lessThanParts', { excess })}` : ''}
      </Text>
      <Text kind="small" color="ink2">
        {lines.filter(Boolean).join(' · ')}
      </Text>
    </View>
  );
}
