import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../../core/base/random.ts';
import { firstText } from '../../core/catalog/record.ts';
import { type Language, languageNames } from '../../core/text/languages.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { misspell } from '../misspell.ts';
import { cleverShelf, shelfOf } from './finders.ts';
import { otherForm } from './otherForms.ts';
import { type RealCatalog, realCatalogs } from './realCatalogs.ts';
import { readCatalog } from './run.ts';

/** What the regions, languages, scripts and currencies of the world are called in a language, as Node ships them. */
function worldNames(language: Exclude<Language, 'en'>): RealCatalog {
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  const pairs = letters.flatMap((a) => letters.map((b) => a + b));
  const rows = (['region', 'language', 'currency', 'script'] as const).flatMap((type) => {
    const names = new Intl.DisplayNames(language, { type, fallback: 'none' });
    const codes =
      type === 'region'
        ? pairs
        : type === 'currency'
          ? pairs.flatMap((pair) => letters.map((letter) => pair + letter))
          : type === 'script'
            ? pairs.flatMap((pair) =>
                ['ab', 'an', 'ek', 'ng', 'th', 'ra', 'il', 'ai', 'am', 'at', 'yr', 'rm'].map(
                  (end) => pair[0]! + pair[1]!.toLowerCase() + end,
                ),
              )
            : [
                ...pairs.map((pair) => pair.toLowerCase()),
                ...pairs.flatMap((pair) => letters.map((letter) => (pair + letter).toLowerCase())),
              ];
    return codes.flatMap((code) => {
      const name = names.of(code);
      return name ? [{ id: `${type}-${code}`, title: name }] : [];
    });
  });
  const known = new Set<string>();
  const different = rows.filter(({ title }) => !known.has(title) && known.add(title));
  return { name: `${languageNames[language]} names`, source: 'Intl.DisplayNames', rows: different };
}

/**
 * What slips and other forms cost: the same searches for known items made clean, with one letter wrong in one word, and
 * with one word in another form. A loss is the share of the clean searches' mean reciprocal rank that is gone.
 */
export function runLosses(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { queries: { type: 'string', default: '400' }, seed: { type: 'string', default: '11' } },
  });
  const catalogs: [Language, () => RealCatalog][] = [
    ...realCatalogs.map((open): [Language, () => RealCatalog] => ['en', open]),
    ...(['de', 'fr', 'es'] as const).map((language): [Language, () => RealCatalog] => [
      language,
      () => worldNames(language),
    ]),
  ];
  console.log('catalog              records   clean MRR   one slip    loss   other form    loss');
  for (const [language, open] of catalogs) {
    const catalog = open();
    const shelf = shelfOf({ ...readCatalog(catalog), language });
    const finder = cleverShelf(shelf);
    const random = seededRandom(Number(values.seed));
    // The words are all that a title says, so whatever has the very same title is as right.
    const titleOf = new Map(
      shelf.records.map(({ familyId, values: own }) => [familyId, tokenize(firstText(own.title)).join(' ')]),
    );
    const rank = (text: string, intended: string): number => {
      const at = finder.find(text, false).findIndex((family) => titleOf.get(family) === titleOf.get(intended));
      return at < 0 ? 0 : 1 / (at + 1);
    };
    const sums = { clean: [0, 0], slip: 0, form: 0, slips: 0, forms: 0 };
    for (let tries = 0; tries < 60_000 && Math.min(sums.slips, sums.forms) < Number(values.queries); tries++) {
      const record = pick(random, shelf.records);
      const words = [...new Set(tokenize(firstText(record.values.title)))].slice(0, 4);
      if (words.length < 1) continue;
      const at = Math.floor(random() * words.length);
      const word = words[at]!;
      const isPlain = /^\p{L}{5,}$/u.test(word);
      if (!isPlain) continue;
      const varied = (other: string): string => words.map((each, place) => (place === at ? other : each)).join(' ');
      const clean = rank(words.join(' '), record.familyId);
      if (sums.slips < Number(values.queries)) {
        sums.slips++;
        sums.clean[0]! += clean;
        sums.slip += rank(varied(misspell(random, word)), record.familyId);
      }
      const form = otherForm(word, language);
      if (form && sums.forms < Number(values.queries)) {
        sums.forms++;
        sums.clean[1]! += clean;
        sums.form += rank(varied(form), record.familyId);
      }
    }
    const loss = (part: number, whole: number): string => `${((1 - part / whole) * 100).toFixed(1)}%`.padStart(7);
    const mean = (sum: number, count: number): string => (sum / Math.max(1, count)).toFixed(3);
    console.log(
      `${catalog.name.padEnd(18)} ${String(shelf.records.length).padStart(9)} ${mean(sums.clean[0]!, sums.slips).padStart(11)} ${mean(sums.slip, sums.slips).padStart(10)} ${loss(sums.slip, sums.clean[0]!)} ${mean(sums.form, sums.forms).padStart(12)} ${loss(sums.form, sums.clean[1]!)}`,
    );
  }
}
