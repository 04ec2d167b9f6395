import { type InLanguage, languageNamed } from '../text/guessLanguage.ts';
import type { ColumnFacts } from './describeColumns.ts';
import { nameKey, rolesNamed } from './roles.ts';

/** From here on a column's name says what it is, and does not only sound like it. */
export const sureOfName = 0.8;

/** What a column says, whatever the language: the role its name surely means, or else the name. */
function meaningOf(name: string): string {
  const [named] = rolesNamed(name);
  return named && named.confidence >= sureOfName ? named.role : nameKey(name);
}

/** A column of which the file has others that say the same in other languages. */
export interface Translated extends Pick<InLanguage, 'name'> {
  /** Absent where its name says none. */
  readonly language?: string;
  /** Whether another column says it in the shop's own language. */
  readonly isOther: boolean;
  /** That column. */
  readonly of: string;
  /** The column that is taken where this one is empty: the one that names no language. */
  readonly otherwise?: string;
}

/**
 * The columns that say the same in several languages, by their names. The shop's own is the one in its language, where
 * that is said; else the one that names no language, and where all do, the language in which most of them are, or the
 * first in the file of as many.
 */
export function translatedColumns(
  columns: readonly (Pick<ColumnFacts, 'column'> & Partial<Pick<ColumnFacts, 'numeric'>>)[],
  ownLanguage?: string,
): ReadonlyMap<string, Translated> {
  const sets = new Map<string, { plain: string | null; named: (InLanguage & { column: string })[] }>();
  for (const { column, numeric = 0 } of columns) {
    // Numbers are said in no language: `weight_pl` is of a pallet.
    const named = numeric >= 0.9 ? null : languageNamed(column);
    const meaning = meaningOf(named && named.name !== '' ? named.name : column);
    const set = sets.get(meaning) ?? { plain: null, named: [] };
    if (!named || named.name === '') set.plain ??= column;
    else set.named.push({ ...named, column });
    sets.set(meaning, set);
  }
  const several = [...sets.values()].filter(
    ({ plain, named }) =>
      named.length > 0 && (plain !== null || new Set(named.map(({ language }) => language)).size > 1),
  );
  const votes = new Map<string, number>();
  for (const { plain, named } of several)
    for (const language of plain === null ? new Set(named.map((each) => each.language)) : [])
      votes.set(language, (votes.get(language) ?? 0) + 1);
  // Of as many, the first in the file stands first in the map.
  const [own] = [...votes].sort((a, b) => b[1] - a[1]);
  return new Map(
    several.flatMap(({ plain, named }) => {
      const said = named.find(({ language }) => language === ownLanguage)?.column;
      const main = said ?? plain ?? (named.find(({ language }) => language === own![0]) ?? named[0]!).column;
      const isFilledUp = said !== undefined && plain !== null;
      return [
        ...named.map(({ column, name, language }): [string, Translated] => [
          column,
          {
            ...{ name, language, isOther: column !== main, of: main },
            ...(isFilledUp && column === main && { otherwise: plain }),
          },
        ]),
        ...(isFilledUp ? [[plain, { name: plain, isOther: true, of: main }] satisfies [string, Translated]] : []),
      ];
    }),
  );
}

/** Whether an attribute says in another language what another one says: `title_de` beside the title. */
export function isTranslation(key: string, keys: ReadonlySet<string>): boolean {
  const named = languageNamed(key);
  if (!named || named.name === '') return false;
  return keys.has(named.name) || keys.has(meaningOf(named.name));
}

const languageLabels = new Intl.DisplayNames('en', { type: 'language' });
/** What a language is called in English, by its code. */
export const languageLabel = (code: string): string => languageLabels.of(code) ?? code;
