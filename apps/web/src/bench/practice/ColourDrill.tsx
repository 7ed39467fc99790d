import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { askColour, addressOf } from '@cordel/core';
import { seeded } from '@cordel/standin';
import { colourAnswerText } from '@cordel/text/bench';
import { makeUpText, placeText } from '@cordel/text/fiber';
import { common } from '@cordel/text/pages/common';
import { colourDrill as t } from '@cordel/text/pages/bench/ColourDrill';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { FiberEye } from '@/ui/FiberEye';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

/** Questions about places and colors, on any scheme the project knows. */
export function ColourDrill() {
  const { schemes, project } = useProjectView();
  const [schemeId, setScheme] = useState(project.schemeId);
  const scheme = schemes.find(({ id }) => id === schemeId) ?? schemes[0]!;
  const [seed, setSeed] = useState(() => Date.now() % 1_000_000);
  const [answer, setAnswer] = useState<number | null>(null);
  const [count, setCount] = useState({ right: 0, asked: 0 });
  const question = useMemo(() => askColour(seeded(seed)), [seed]);
  const give = (choice: number) => {
    if (answer !== null) return;
    setAnswer(choice);
    setCount({
      right: count.right + (choice === question.right ? 1 : 0),
      asked: count.asked + 1,
    });
  };
  const next = () => {
    setAnswer(null);
    setSeed(seed + 1);
  };
  const at = (fiber: number) => addressOf(question.makeUp, scheme, fiber);
  const address = at(question.fiber);
  const choiceText = (fiber: number) =>
    question.asks === 'number' ? String(fiber) : placeText(at(fiber));
  return (
    <View style={{ gap: 12 }}>
      <Choice
        label={common('colours')}
        value={schemeId}
        options={schemes.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          setScheme(id);
          setAnswer(null);
        }}
      />
      <Card style={{ gap: 10 }}>
        <Text color="ink2">{makeUpText(question.makeUp)}</Text>
        {question.asks === 'place' ? (
          <Text kind="title" heading={2}>
            {t('whereIsFiber', { fiber: question.fiber })}
          </Text>
        ) : (
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
            <FiberEye address={address} size={76} />
            <View style={{ flex: 1 }}>
              <Text kind="title" heading={2}>
                {t('whichNumberIsIt')}
              </Text>
              <Text kind="strong">{placeText(address)}</Text>
            </View>
          </View>
        )}
        {question.choices.map((choice, index) => (
          <Button
            key={choice}
            label={
              answer === null
                ? choiceText(choice)
                : `${choiceText(choice)}${index === question.right ? ' ✓ right' : index === answer ? ' ✗ yours' : ''}`
            }
            look={answer !== null && index === question.right ? 'dark' : 'plain'}
            onPress={() => give(index)}
          />
        ))}
      </Card>
      {answer === null ? null : (
        <>
          <Notice
            word={answer === question.right ? shared('right') : t('notThatOne')}
            color={answer === question.right ? 'green' : 'accent'}
            live
          >
            {colourAnswerText(question, address)}
          </Notice>
          <Button label={t('nextQuestion')} look="next" onPress={next} />
        </>
      )}
      <Text>{t('rightOfAskedRight', { right: count.right, asked: count.asked })}</Text>
    </View>
  );
}
