import { parseArgs } from 'node:util';
import TrieSearch from 'trie-search';
import { keepAnswers } from '../core/base/keptAnswers.ts';
import { pick, seededRandom } from '../core/base/random.ts';
import { firstText } from '../core/catalog/record.ts';
import { catalogPhrases } from '../core/suggest/catalogPhrases.ts';
import { buildCompletions, openCompletions } from '../core/suggest/completions.ts';
import type { Phrase } from '../core/suggest/phrase.ts';
import { suggest } from '../core/suggest/suggest.ts';
import { stem } from '../core/text/wordForms.ts';
import { makeRecords } from './makeRecords.ts';
import { measured } from './measured.ts';
import { openRecords } from './openRecords.ts';

/** Suggestions wanted, and texts typed. */
const wanted = 5;
const typedTexts = 4000;

/**
 * npm run bench -- suggest: what a letter typed into the search box costs, with many known searches: our completions beside a
 * prefix trie of the registry's, which knows no slips, no weights and no later words but by splitting; then the whole box.
 */
export function runSuggest(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { records: { type: 'string', default: '100000' }, searches: { type: 'string', default: '200000' } },
  });
  const records = [...makeRecords(1, Number(values.records))];
  const titles = records.map((record) => firstText(record.values.title));
  const random = seededRandom(3);
  const searched = Array.from({ length: Number(values.searches) }, (): Phrase => {
    const words = pick(random, titles).split(' ');
    const from = Math.floor(random() * words.length);
    const another = random() < 0.5 ? ` ${pick(random, titles).split(' ')[0]}` : '';
    const text = words.slice(from, from + 1 + Math.floor(random() * 4)).join(' ') + another;
    return { text, weight: 1 / random(), searches: 1, products: 0 };
  });
  const phrases = [...searched, ...catalogPhrases({ titles, values: [] }, new Set())];
  const begun = performance.now();
  const buffer = buildCompletions(phrases, (word) => stem(word));
  const completions = openCompletions(buffer)!;
  console.log(
    `${completions.phrases} phrases: built in ${Math.round(performance.now() - begun)} ms, ${Math.round(buffer.byteLength / 1e6)} MB`,
  );
  const trie = new TrieSearch<Phrase>('text', { idFieldOrFunction: 'text' });
  const trieBegun = performance.now();
  trie.addAll(phrases);
  console.log(`a prefix trie of the same: built in ${Math.round(performance.now() - trieBegun)} ms`);

  const typed = Array.from({ length: typedTexts }, () => {
    const text = pick(random, phrases).text.slice(0, 2 + Math.floor(random() * 9));
    // Some have two letters the wrong way round.
    return random() < 0.15 && text.length > 4 ? `${text.slice(0, 2)}${text[3]}${text[2]}${text.slice(4)}` : text;
  });
  const { engine, prepared } = openRecords(records);
  const readRecord = (record: number) => records[record]!;
  const ways: readonly (readonly [string, (text: string) => void])[] = [
    [
      'our completions',
      (text) => {
        let found = 0;
        for (const _ of completions.complete(text)) if (++found >= wanted) break;
      },
    ],
    ['a prefix trie', (text) => void trie.search(text, undefined, wanted)],
    [
      'the whole box',
      (text) => void suggest(engine, prepared, { typed: text }, { completions, content: null, readRecord }),
    ],
  ];
  measured(ways, typed);
  // What is searched for most is typed most: the n-th search by weight 1/n as often as the first, letter by letter.
  const byWeight = [...searched].sort((a, b) => b.weight - a.weight);
  const letters = Array.from({ length: typedTexts }, () => {
    const { text } = byWeight[Math.floor(byWeight.length ** random()) - 1] ?? byWeight[0]!;
    return Array.from({ length: Math.min(8, text.length) - 1 }, (_, at) => text.slice(0, at + 2));
  }).flat();
  const kept = keepAnswers<unknown>(2000);
  const box = (text: string) => suggest(engine, prepared, { typed: text }, { completions, content: null, readRecord });
  measured([['the whole box, as shoppers type', (text) => void kept.get(text, () => box(text))]], letters);
}
