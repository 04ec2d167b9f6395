import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../../core/base/random.ts';
import { firstText } from '../../core/catalog/record.ts';
import { corrected } from '../../core/query/understand.ts';
import { openEngine, prepareSetup } from '../../core/search/prepareSetup.ts';
import { rank } from '../../core/search/rank.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { wordListOf, wordsOfLanguage } from '../../server/searching/wordLists.ts';
import { shelfOf, snapshotOf } from './finders.ts';
import { realCatalogs } from './realCatalogs.ts';
import { readCatalog } from './run.ts';

/**
 * How often a word that a catalog does not have is taken for another one: words of the language, and names out of the other
 * catalogs, alone and beside a word that the catalog has. Every such correction is invented, since nothing was misspelt.
 */
export function runInventions(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { queries: { type: 'string', default: '400' }, seed: { type: 'string', default: '11' } },
  });
  const catalogs = realCatalogs.map((open) => open());
  const titleWords = catalogs.map((catalog) =>
    readCatalog(catalog).records.flatMap(({ values: own }) => tokenize(firstText(own.title))),
  );
  const isPlain = (word: string): boolean => /^\p{L}{5,12}$/u.test(word);
  const english = wordsOfLanguage('en').filter(isPlain);
  console.log('catalog              words alone   beside another   names alone   beside another');
  for (const [at, catalog] of catalogs.entries()) {
    const shelf = shelfOf(readCatalog(catalog));
    const engine = openEngine(snapshotOf(shelf), wordListOf('en'));
    const prepared = prepareSetup(engine, initialSetup(shelf.profiles), 0);
    const { terms, formsOf } = engine.snapshot;
    const isUnknown = (word: string): boolean => terms.find(word) < 0 && formsOf(word).length === 0;
    const random = seededRandom(Number(values.seed));
    const isWord = wordListOf('en');
    const names = titleWords
      .flatMap((words, other) => (other === at ? [] : words))
      .filter((word) => isPlain(word) && !isWord(word));
    const invents = (query: string): number => {
      const { words, total } = rank(engine, prepared, { query, filters: {}, page: 1, limit: 24 }, 1);
      return Number(total > 0 && words.some(({ expansions }) => expansions.some(({ how }) => corrected.has(how))));
    };
    const share = (pool: readonly string[], isBeside: boolean): string => {
      let [asked, invented] = [0, 0];
      for (let tries = 0; tries < 50_000 && asked < Number(values.queries); tries++) {
        const word = pick(random, pool);
        if (!isUnknown(word)) continue;
        const known = pick(random, titleWords[at]!.filter(isPlain));
        asked++;
        invented += invents(isBeside ? `${known} ${word}` : word);
      }
      return `${((invented / Math.max(1, asked)) * 100).toFixed(1)}%`;
    };
    const columns = [share(english, false), share(english, true), share(names, false), share(names, true)];
    console.log(`${catalog.name.padEnd(18)} ${columns.map((text) => text.padStart(14)).join('')}`);
  }
}
