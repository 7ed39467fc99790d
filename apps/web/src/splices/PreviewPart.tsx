import { useState } from 'react';
import { View } from 'react-native';
import { AT_PORT, type ListCable, type ListProblem, type ReadPair, addressOf } from '@cordel/core';
import { addressParts, deviceFiberText } from '@cordel/text/fiber';
import { networkText, spliceListText } from '@cordel/text/plan';
import { previewPart as t } from '@cordel/text/pages/splices/PreviewPart';
import { Button } from '@/ui/Button';
import { FiberEye } from '@/ui/FiberEye';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { useColors } from '@/ui/theme';
import type { Import } from './useImport';

/** What becomes of a list: problems that are fixed where they stand, what was passed over, and the pairs. */
export function PreviewPart({ flow }: { flow: Import }) {
  if (!flow.preview || flow.result) return null;
  return (
    <View style={{ gap: 10 }}>
      {flow.preview.problemCount === 0 ? <ReadyPart flow={flow} /> : <ProblemPart flow={flow} />}
      <PassedPart flow={flow} />
      <PairPart flow={flow} />
    </View>
  );
}

function ReadyPart({ flow }: { flow: Import }) {
  const { splices, closures, doubts, doubtCount } = flow.preview!;
  return (
    <>
      <Notice word={t('ready')} color="green" live>
        {t('splicesInClosuresNoProblemFound', { splices, closures: closures.length })}
      </Notice>
      {doubtCount > 0 ? (
        <Notice word={t('checkPlacesFirst', { places: doubtCount })}>
          {t('theseMayBeMeantIfNot')}
        </Notice>
      ) : null}
      {doubts.map(({ closure, message }) => (
        <Text key={`${closure} ${networkText(message)}`}>
          <Text kind="strong">{`${closure}: `}</Text>
          {networkText(message)}
        </Text>
      ))}
      <Button
        label={t('importSplices', { splices })}
        look="next"
        disabled={flow.busy !== '' || flow.names.open > 0 || splices === 0}
        onPress={() => void flow.runImport()}
      />
      {flow.error ? (
        <Notice word={t('notImported')} color="accent" live>
          {flow.error}
        </Notice>
      ) : null}
      {flow.bringing ? <Notice live>{t('allOfItOrNothingA', { busy: flow.busy })}</Notice> : null}
    </>
  );
}

function ProblemPart({ flow }: { flow: Import }) {
  const { problems, problemCount } = flow.preview!;
  return (
    <>
      <Notice word={`${t('problems', { problems: problemCount })}.`} color="accent" live>
        {t('nothingIsImportedUntilAllAre')}
      </Notice>
      {problems.map((problem) => (
        <ProblemLine
          key={`${problem.row} ${problem.column} ${problem.message.code} ${problem.value}`}
          problem={problem}
          flow={flow}
        />
      ))}
      {problemCount > problems.length ? (
        <Text color="ink2">
          {t('andProblemsMore', { problems: problemCount - problems.length })}
        </Text>
      ) : null}
    </>
  );
}

/** A problem with its cell, which can be corrected here; the file that was chosen stays as it is. */
function ProblemLine({ problem, flow }: { problem: ListProblem; flow: Import }) {
  const colors = useColors();
  const { row, column, value, at } = problem;
  const [typed, setTyped] = useState(value);
  const place = t('rowColumn', { row, column: column ? `, ${column}` : '' });
  const fix = () => at !== null && typed.trim() !== value && void flow.fix(row, at, typed.trim());
  return (
    <View style={{ borderBottomWidth: 1, borderColor: colors.rule, paddingVertical: 6, gap: 6 }}>
      <Text kind="strong">{`${place}${value ? `: “${value}”` : ''}`}</Text>
      <Text>{spliceListText(problem.message)}</Text>
      {at === null ? null : (
        <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <TextField
            label={column}
            name={t('valueAt', { place })}
            value={typed}
            onChange={setTyped}
            onEnter={fix}
          />
          <Button
            label={t('fix')}
            aria-label={t('fixAt', { place })}
            disabled={typed.trim() === value}
            onPress={fix}
          />
        </View>
      )}
    </View>
  );
}

function PassedPart({ flow }: { flow: Import }) {
  const { passed, passedCount } = flow.preview!;
  const [isOpen, setOpen] = useState(false);
  if (passedCount === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <Button
        label={t('rowsPassedOver', { rows: passedCount })}
        aria-expanded={isOpen}
        onPress={() => setOpen(!isOpen)}
      />
      {isOpen
        ? passed.map(({ row, text, why }) => (
            <Text key={row}>
              <Text kind="strong">{t('rowColumn', { row, column: '' })}</Text>
              {`: ${t(why)}. ${text}`}
            </Text>
          ))
        : null}
      {isOpen && passedCount > passed.length ? (
        <Text color="ink2">{t('andRowsMore', { rows: passedCount - passed.length })}</Text>
      ) : null}
    </View>
  );
}

/** So many pairs are shown before more are asked for. */
const FEW = 6;

function PairPart({ flow }: { flow: Import }) {
  const { pairs, pairCount } = flow.preview!;
  const [isAll, setAll] = useState(false);
  if (pairCount === 0) return null;
  const shown = isAll ? pairs : pairs.slice(0, FEW);
  const cables = new Map(flow.cables.map((cable) => [cable.name, cable]));
  return (
    <View style={{ gap: 4 }}>
      <Text kind="name" heading={2}>
        {t('asItWasRead')}
      </Text>
      {shown.map((pair, index) => (
        <PairLine key={index} pair={pair} cables={cables} />
      ))}
      {!isAll && pairs.length > FEW ? (
        <Button label={t('showPairs', { pairs: pairs.length })} onPress={() => setAll(true)} />
      ) : null}
      {isAll && pairCount > pairs.length ? (
        <Text color="ink2">{t('andPairsMore', { pairs: pairCount - pairs.length })}</Text>
      ) : null}
    </View>
  );
}

function PairLine({ pair, cables }: { pair: ReadPair; cables: ReadonlyMap<string, ListCable> }) {
  const colors = useColors();
  const { row, splice } = pair;
  const { closure, tray, slot, end } = splice;
  return (
    <View style={{ borderTopWidth: 1, borderColor: colors.rule, paddingVertical: 4, gap: 2 }}>
      <Text kind="small">
        {tray === AT_PORT
          ? t('rowAtPort', { row, closure })
          : t('rowPlace', { row, closure, tray, slot })}
      </Text>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Side cable={splice.cableA} fiber={splice.fiberA} cables={cables} />
        <Text kind="strong">{end ?? '→'}</Text>
        <Side cable={splice.cableB} fiber={splice.fiberB} cables={cables} />
      </View>
    </View>
  );
}

function Side({
  cable,
  fiber,
  cables,
}: {
  cable: string;
  fiber: number;
  cables: ReadonlyMap<string, ListCable>;
}) {
  const known = cables.get(cable);
  const device = known ? deviceFiberText(known.makeUp, fiber) : null;
  const address = known && device === null ? addressOf(known.makeUp, known.scheme, fiber) : null;
  return (
    <View style={{ flex: 1, flexDirection: 'row', gap: 6, alignItems: 'center' }}>
      {address ? <FiberEye address={address} size={36} /> : null}
      <View style={{ flexShrink: 1 }}>
        <Text kind="strong">{`${cable} ${device ?? fiber}`}</Text>
        {address ? <Text kind="small">{addressParts(address).join(' · ')}</Text> : null}
      </View>
    </View>
  );
}
