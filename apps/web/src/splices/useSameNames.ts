import { useState } from 'react';
import type { SameName } from '@cordel/core';

/** A name that is likely meant as another one, and what a person says of it; null while nobody has. */
export interface NameQuestion extends SameName {
  noun: 'closure' | 'cable';
  same: boolean | null;
}

const keyOf = ({ noun, written, meant }: Omit<NameQuestion, 'same'>): string =>
  JSON.stringify([noun, written, meant]);

/** Asks of names that are likely the same; nothing new is made of them before all are answered. */
export function useSameNames(proposals: readonly Omit<NameQuestion, 'same'>[]) {
  const [answers, setAnswers] = useState<ReadonlyMap<string, boolean>>(new Map());
  const questions = proposals.map((one): NameQuestion => ({
    ...one,
    same: answers.get(keyOf(one)) ?? null,
  }));
  const answer = (asked: readonly NameQuestion[], same: boolean) =>
    setAnswers(new Map([...answers, ...asked.map((one) => [keyOf(one), same] as const)]));
  return {
    questions,
    open: questions.filter(({ same }) => same === null).length,
    answer,
    /** Names taken as the same: all but those that a person calls another. */
    sameOf: (noun: NameQuestion['noun']): SameName[] =>
      questions.flatMap(({ noun: own, written, meant, same }) =>
        own === noun && same !== false ? [{ written, meant }] : [],
      ),
  };
}

export type SameNamesHook = ReturnType<typeof useSameNames>;
