import { expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { usualLadder } from '../setup/terms/ladderTerms.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { tryLadder } from './ladderTrial.ts';

const records = recordsOf([
  { id: 'a', title: 'Scarlet ink', kind: 'Ink' },
  { id: 'b', title: 'Gouache', kind: 'Paint' },
  { id: 'c', title: 'Sketchbook', kind: 'Paper' },
]);
const engine = openEngine(snapshotOf(records), undefined, (words) =>
  words === 'jotter' ? [{ text: 'sketchbook', from: 'tried' }] : [],
);
const usual = initialSetup(engine.snapshot.attributes);
const setupWith = (ladder: Partial<Setup['emptyShelf']['ladder']>): Setup => ({
  ...usual,
  vocabulary: { s: { what: 'synonyms', words: ['tempera', 'gouache'], on: true } },
  emptyShelf: { ...usual.emptyShelf, ladder: { order: [...usualLadder.order], off: [], ...ladder } },
});
const made = (search: string, searches = 1, clicked = 0) => ({ search, searches, clicked });
const demand = [
  ...[
    made('ink', 9, 5),
    made('tempera', 4, 1),
    made('gouahce', 3),
    made('scarlet sketchbook', 2),
    made('jotter', 7, 2),
  ],
  made('zebra', 5),
];
const reached = (setup: Setup): Record<string, number> =>
  Object.fromEntries(
    tryLadder(engine, prepareSetup(engine, setup, 0), demand).steps.map(({ reached: step, times }) => [step, times]),
  );

test('each search of a log is told by the step it needs last, with how often it was made', () => {
  expect(reached(setupWith({}))).toEqual({ itself: 9, synonyms: 4, spelling: 3, words: 2, meaning: 7, nowhere: 5 });
  const { steps, looked, times } = tryLadder(engine, prepareSetup(engine, setupWith({}), 0), demand);
  expect({ looked, times }).toEqual({ looked: 6, times: 30 });
  expect(steps.find((step) => step.reached === 'meaning')).toEqual({
    ...{ reached: 'meaning', searches: 1, times: 7, clicked: 2 },
    examples: [{ search: 'jotter', times: 7, instead: 'sketchbook' }],
  });
});
test('steps that are off rescue nothing', () => {
  expect(reached(setupWith({ off: ['words', 'meaning', 'synonyms'] }))).toEqual({
    itself: 9,
    spelling: 3,
    nowhere: 18,
  });
});
test('a shopper is told which step was taken, and finds just what was typed where that is asked for', () => {
  const prepared = prepareSetup(engine, setupWith({}), 0);
  const ask = (query: string, exactly = false) =>
    search(engine, prepared, { query, filters: {}, page: 1, limit: 9, exactly }, (at) => records[at]!);
  expect(ask('jotter')).toMatchObject({ total: 1, near: { search: 'sketchbook', from: 'tried' }, exactly: false });
  for (const query of ['jotter', 'tempera', 'gouahce', 'scarlet sketchbook'])
    expect(ask(query, true)).toMatchObject({ total: 0, near: null, dropped: [], corrections: [], exactly: true });
  expect(ask('ink', true).total).toBe(1);
});
