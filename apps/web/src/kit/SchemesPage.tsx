import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { BUILT_IN_SCHEMES, type ColourScheme, schemeSchema } from '@cordel/core';
import { commands } from '@cordel/client';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { schemesPage as t } from '@cordel/text/pages/kit/SchemesPage';
import { common } from '@cordel/text/pages/common';
import { issueText } from '@cordel/text/record';
import { useMergedSave } from '@/data/useMergedSave';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

/** The color orders fibers and tubes are counted by; users add their own. */
export function SchemesPage() {
  const { project, schemes, isArchived } = useProjectView();
  const removal = useRemoval();
  const [copy, setCopy] = useState<ColourScheme | null>(null);
  return (
    <Page
      title={shared('colourSchemes')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <RemovalNotice removal={removal} />
      <Grid least={420} gap={16}>
        {schemes
          .filter((scheme) => !isArchived(scheme))
          .map((scheme) => (
            <Card key={scheme.id} style={{ gap: 10 }}>
              <Text kind="name" heading={2}>
                {scheme.name}
              </Text>
              <Swatches scheme={scheme} />
              <Text kind="small" color="ink2">
                {t('sourcePastTheLastColourThe', { source: scheme.source, mark: scheme.mark })}
              </Text>
              <Button
                label={
                  BUILT_IN_SCHEMES.some((built) => built.id === scheme.id)
                    ? t('makeMyOwnFrom', { name: scheme.name })
                    : t('changeName', { name: scheme.name })
                }
                onPress={() => setCopy(scheme)}
                style={{ alignSelf: 'flex-start' }}
              />
              {BUILT_IN_SCHEMES.some((built) => built.id === scheme.id) ? null : (
                <RemoveKeys removal={removal} item={removable('scheme', scheme)} />
              )}
            </Card>
          ))}
      </Grid>
      <ArchivedList
        removal={removal}
        items={schemes.filter(isArchived).map((scheme) => removable('scheme', scheme))}
      />
      {copy ? <SchemeForm key={copy.id} from={copy} onDone={() => setCopy(null)} /> : null}
    </Page>
  );
}

function Swatches({ scheme }: { scheme: ColourScheme }) {
  const colors = useColors();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      {scheme.colours.map((colour, index) => (
        <View key={colour.code} style={{ alignItems: 'center', width: 64 }}>
          <View
            style={{
              width: 36,
              height: 24,
              backgroundColor: colour.hex,
              borderWidth: 2,
              borderColor: colors.ink,
            }}
          />
          <Text kind="small">{`${index + 1} ${colour.code}`}</Text>
          <Text kind="small" color="ink2">
            {colour.name}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** A scheme as lines: `name code #hex`, in order. */
const linesOf = (scheme: ColourScheme): string =>
  scheme.colours.map((colour) => `${colour.name} ${colour.code} ${colour.hex}`).join('\n');

function readLines(text: string): unknown[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [, name, code, hex] = /^(.+?)\s+(\S+)\s+(\S+)$/.exec(line) ?? [null, line, '', ''];
      return { name, code: code?.toUpperCase(), hex, aliases: [] };
    });
}

function SchemeForm({ from, onDone }: { from: ColourScheme; onDone(): void }) {
  const own = !BUILT_IN_SCHEMES.some((built) => built.id === from.id);
  const saveMerged = useMergedSave(commands.saveScheme, own ? from : undefined);
  const [name, setName] = useState(own ? from.name : '');
  const [source, setSource] = useState(own ? from.source : '');
  const [mark, setMark] = useState<ColourScheme['mark']>(from.mark);
  const [lines, setLines] = useState(linesOf(from));
  const [problem, setProblem] = useState('');
  const save = async () => {
    const id = own
      ? from.id
      : `own-${name
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, '-')
          .replace(/^-|-$/g, '')}`.slice(0, 64);
    const read = schemeSchema.safeParse({ id, name, source, mark, colours: readLines(lines) });
    if (!read.success) {
      const issue = read.error.issues[0]!;
      const line =
        issue.path[0] === 'colours' && typeof issue.path[1] === 'number'
          ? t('lineNumber', { number: issue.path[1] + 1 })
          : '';
      return setProblem(`${line}${issueText(issue)}`);
    }
    setProblem(shared('beingSaved'));
    const label = t('colourSchemeName', { name: read.data.name });
    const refused = await saveMerged(read.data, label);
    setProblem(refused);
    if (refused === '') onDone();
  };
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {own ? t('changeName', { name: from.name }) : t('yourOwnScheme')}
      </Text>
      <TextInput
        mode="outlined"
        label={t('schemeName')}
        aria-label={t('schemeName')}
        value={name}
        onChangeText={setName}
        maxLength={80}
      />
      <TextInput
        mode="outlined"
        label={t('whereTheOrderComesFrom')}
        aria-label={t('whereTheOrderComesFrom')}
        value={source}
        onChangeText={setSource}
        maxLength={300}
      />
      <Choice<ColourScheme['mark']>
        label={t('marksPastTheLastColour')}
        value={mark}
        options={[
          { value: 'tracer', label: t('tracer') },
          { value: 'ring', label: t('ring') },
        ]}
        onChange={(next) => setMark(next)}
      />
      <TextInput
        mode="outlined"
        multiline
        numberOfLines={12}
        label={t('coloursInOrderNameLettersRrggbb')}
        aria-label={t('coloursInOrder')}
        value={lines}
        onChangeText={setLines}
        style={{ minHeight: 300 }}
      />
      {problem ? <Notice live>{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={t('saveTheScheme')}
          look="next"
          onPress={() => void save()}
          style={{ flex: 1 }}
        />
        <Button label={common('close')} onPress={onDone} />
      </View>
    </Card>
  );
}
