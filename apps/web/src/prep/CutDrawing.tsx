import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { type CutPlan, type LengthUnit, type Units, formatLength } from '@cordel/core';
import { markText } from '@cordel/text/prep';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';
import { type MergedMark, mergedMarks } from './mergedMarks';

const WIDTH = 360;
const LEFT = 14;
const RIGHT = 14;
const TOP = 26;
const SHEATH = 26;
/** Marks closer than this on the tape share a line of the list but not a letter. */
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** A cut cable to scale: the tape above it, each mark with the letter by which the list names it. */
export function CutDrawing({ plan, units }: { plan: CutPlan; units: Units }) {
  const colors = useColors();
  const unit = units.length;
  const express = plan.zero === 'firstRingCut';
  const last = Math.max(plan.opening, ...plan.marks.map((mark) => mark.at));
  // Some sheath is drawn past the ring cuts.
  const shoulder = last * 0.12;
  const from = express ? -shoulder : 0;
  const to = last + shoulder;
  const x = (at: number) => LEFT + ((at - from) / (to - from)) * (WIDTH - LEFT - RIGHT);
  const axis = TOP + 58;
  const height = axis + 96;
  const letters = lettered(mergedMarks(plan.marks));
  return (
    <View style={{ gap: 6 }}>
      <View
        role="img"
        aria-label={t('theCableToScale', {
          marks: plan.marks
            .map(
              (mark) =>
                `${formatLength(mark.at, unit, mark.round)} ${markText(mark.message, units)}`,
            )
            .join('; '),
        })}
      >
        <Svg
          width="100%"
          viewBox={`0 0 ${WIDTH} ${height}`}
          style={{ aspectRatio: WIDTH / height }}
        >
          <Tape x={x} last={last} unit={unit} />
          {express ? (
            <Rect x={0} y={axis - SHEATH / 2} width={x(0)} height={SHEATH} fill={colors.ink} />
          ) : null}
          <Rect
            x={x(plan.opening)}
            y={axis - SHEATH / 2}
            width={WIDTH - x(plan.opening)}
            height={SHEATH}
            fill={colors.ink}
          />
          {[-6, 0, 6].map((offset) => (
            <Path
              key={offset}
              d={`M ${express ? x(0) : x(0)} ${axis + offset} L ${x(plan.opening)} ${axis + offset}`}
              stroke={colors.ink}
              strokeWidth={2}
              strokeDasharray={express ? undefined : '10 3'}
            />
          ))}
          {letters.map(({ mark, letter, level }) => (
            <Mark
              key={`${letter}`}
              x={x(mark.at)}
              axis={axis}
              letter={letter}
              level={level}
              cut={mark.kind === 'ring cut' || mark.kind === 'tube cut'}
            />
          ))}
        </Svg>
      </View>
      {letters.map(({ mark, letter }) => (
        <View key={letter} style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
          <Text kind="strong" style={{ width: 22, flexShrink: 0 }}>
            {letter}
          </Text>
          <Text kind="name" style={{ width: 104, flexShrink: 0 }}>
            {formatLength(mark.at, unit, mark.round)}
          </Text>
          <Text style={{ flexShrink: 1 }}>
            {mark.messages.map((message) => markText(message, units)).join('; ')}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** Letters in tape order; near neighbors hang at different heights so that none covers another. */
function lettered(marks: readonly MergedMark[]) {
  return marks.map((mark, index) => ({
    mark,
    letter: LETTERS[index % LETTERS.length]!,
    level: index % 4,
  }));
}

function Mark({
  x,
  axis,
  letter,
  level,
  cut,
}: {
  x: number;
  axis: number;
  letter: string;
  level: number;
  cut: boolean;
}) {
  const colors = useColors();
  const bottom = axis + 34 + level * 15;
  return (
    <>
      <Line
        x1={x}
        x2={x}
        y1={axis - 20}
        y2={bottom - 10}
        stroke={cut ? colors.accent : colors.ink}
        strokeWidth={cut ? 3 : 1.5}
        strokeDasharray={cut ? undefined : '4 3'}
      />
      <SvgText
        x={x}
        y={bottom + 4}
        fontSize={14}
        fontFamily={FONTS.bold}
        fill={colors.ink}
        textAnchor="middle"
      >
        {letter}
      </SvgText>
    </>
  );
}

/** The tape: five figures from zero to the last mark. */
function Tape({ x, last, unit }: { x: (at: number) => number; last: number; unit: LengthUnit }) {
  const colors = useColors();
  const step = niceStep(last / 4, unit);
  const ticks = Array.from({ length: Math.floor(last / step) + 1 }, (_, index) => index * step);
  return (
    <>
      <Line x1={x(0)} x2={x(last)} y1={TOP} y2={TOP} stroke={colors.ink} strokeWidth={2} />
      {ticks.map((at) => (
        <Line
          key={at}
          x1={x(at)}
          x2={x(at)}
          y1={TOP - 6}
          y2={TOP + 6}
          stroke={colors.ink}
          strokeWidth={2}
        />
      ))}
      {ticks.map((at, index) => (
        <SvgText
          key={at}
          x={x(at)}
          y={TOP - 10}
          fontSize={12}
          fontFamily={FONTS.semi}
          fill={colors.ink}
          textAnchor={index === 0 ? 'start' : 'middle'}
        >
          {formatLength(at, unit, 'near')}
        </SvgText>
      ))}
    </>
  );
}

/** A step of the tape that is a round figure in its unit, in tenths of a millimeter. */
function niceStep(least: number, unit: LengthUnit): number {
  const base = unit === 'in' ? 254 : 10;
  const steps = unit === 'in' ? [1, 2, 6, 12, 18, 24, 36, 60] : [10, 20, 50, 100, 200, 500, 1000];
  return base * (steps.find((step) => step * base >= least) ?? steps.at(-1)!);
}
