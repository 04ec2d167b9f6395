import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { meaningsOf, synonymTokens } from './vocabulary.ts';

/** Something about an entry of the vocabulary that is worth a look, in a sentence. */
export interface VocabularyProblem {
  readonly code: 'findsNothing' | 'twice' | 'circle';
  readonly text: string;
}

const keyOf = (text: string): string => tokenize(text).join(' ');

/**
 * What is worth a look about each entry: what it leads to is nowhere in the catalog, another entry says the same
 * already, two one-way entries lead to each other. `finds` says whether the catalog has a text's words side by side.
 * Cost: a pass over all the pairs.
 */
export function checkVocabulary(
  vocabulary: Setup['vocabulary'],
  finds: (text: string) => boolean,
): ReadonlyMap<string, readonly VocabularyProblem[]> {
  const keys = Object.keys(vocabulary).sort();
  /** By "from > to", the first entry that says so. */
  const said = new Map<string, string>();
  const problems = new Map<string, VocabularyProblem[]>();
  const note = (key: string, problem: VocabularyProblem): void => {
    const known = problems.get(key) ?? [];
    if (!known.some(({ text }) => text === problem.text)) problems.set(key, [...known, problem]);
  };
  for (const key of keys)
    for (const { from, to } of meaningsOf(vocabulary[key]!))
      for (const text of to) {
        const pair = `${keyOf(from)} > ${keyOf(text)}`;
        const earlier = said.get(pair);
        if (earlier === undefined) said.set(pair, key);
        else if (earlier !== key)
          note(key, { code: 'twice', text: `Another entry says already that “${from}” finds “${text}”.` });
      }
  for (const key of keys) {
    const entry = vocabulary[key]!;
    const sides = meaningsOf(entry);
    if (sides.length === 0) continue;
    if (entry.what === 'oneWay')
      for (const { from, to } of sides)
        for (const text of to)
          if (vocabulary[said.get(`${keyOf(text)} > ${keyOf(from)}`) ?? '']?.what === 'oneWay')
            note(key, {
              code: 'circle',
              text: `“${from}” and “${text}” lead to each other: they mean the same both ways.`,
            });
    const targets = [...new Set(sides.flatMap(({ to }) => to))];
    const lost = targets.filter((text) => synonymTokens(text) && !finds(text));
    if (lost.length > 0 && lost.length === targets.length)
      note(key, { code: 'findsNothing', text: 'The catalog says none of these words, so it finds nothing more.' });
  }
  return problems;
}
