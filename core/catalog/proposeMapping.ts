import { namesLanguage } from '../text/guessLanguage.ts';
import type { ColumnFacts } from './describeColumns.ts';
import { type FiguresByShop, figuresByShop } from './figuresByShop.ts';
import { usualReading } from './mapping.ts';
import type { ColumnReading, Mapping } from './mappingSchema.ts';
import { patternFor, writingFor } from './proposeWriting.ts';
import { freeAttributeKey, nameKey, type Role, roles, rolesNamed, sharedRoles } from './roles.ts';
import type { ShopTerms } from './shopTerms.ts';
import { titleLikeness } from './titleLikeness.ts';
import { languageLabel, sureOfName, type Translated, translatedColumns } from './translations.ts';

/** How one column is proposed to be read, how sure that is, and why, in a sentence without a full stop. */
export interface ProposedReading extends ColumnReading {
  /** 0 to 1. */
  readonly confidence: number;
  readonly reason: string;
}

const unique = ({ different, cells }: ColumnFacts): boolean => cells > 1 && different >= Math.min(cells, 5000) * 0.999;
const isFigure = (facts: ColumnFacts): boolean => facts.numeric >= 0.9;
/** Measurements, such as a latitude: numbers with a point in them. */
const isDecimal = (facts: ColumnFacts): boolean =>
  isFigure(facts) && facts.samples.filter((text) => /^[-+]?\d+[.,]\d+$/.test(text)).length * 2 > facts.samples.length;

/** How well a column's values fit a role: 1 fits, 0 cannot be; the name alone never outweighs the values. */
function fitness(role: Role, facts: ColumnFacts): number {
  if (facts.cells === 0) return 0.6;
  switch (role) {
    case 'id':
      // A file of few rows, or one in which some ids stand twice by mistake, says little against its name.
      return facts.averageWords >= 2.5 ? 0 : facts.cells < 20 || facts.different >= facts.cells * 0.97 ? 1 : 0.2;
    case 'sku':
      if (facts.averageWords > 3 || facts.averageLength > 40 || facts.links > 0.5 || isDecimal(facts)) return 0;
      if (unique(facts)) return 1;
      // A number that many rows share names a kind of thing, not a thing that is sold.
      return facts.cells >= 20 && facts.different < facts.cells * 0.5 ? 0.2 : isFigure(facts) ? 0.3 : 0.7;
    case 'family':
      return facts.averageWords > 3 || facts.averageLength > 60 || unique(facts) ? 0.2 : 1;
    case 'title':
      return titleLikeness(facts);
    case 'description':
      return facts.averageWords < 3 || facts.numeric > 0.5 || facts.links > 0.5 ? 0.1 : 1;
    case 'brand':
      return facts.averageWords > 6 || facts.numeric > 0.7 || facts.links > 0.5 ? 0.1 : 1;
    case 'category':
    case 'tags':
    case 'parts':
      return facts.averageLength > 300 || facts.numeric > 0.9 ? 0.2 : 1;
    case 'price':
    case 'former_price':
    case 'cost':
    case 'units_sold':
    case 'ratings':
    case 'boost':
      return facts.numeric >= 0.9 ? 1 : facts.numeric >= 0.6 ? 0.6 : 0;
    case 'rating':
      return facts.numeric >= 0.9 ? 1 : 0;
    case 'stock':
      // A count says whether something is in stock, and how much of it besides.
      if (isFigure(facts)) return 1;
      return facts.yesNo >= 0.9 || (facts.different <= 8 && facts.averageWords <= 4) ? 0.9 : 0;
    case 'date_added':
      return facts.dates >= 0.9 ? 1 : 0;
    case 'picture':
    case 'link':
      return facts.links >= 0.8 || facts.pictures >= 0.8 ? 1 : 0.1;
    case 'option':
      if (facts.averageWords > 8 || facts.links > 0.3 || facts.dates > 0.5) return 0;
      // Sizes of files, counts and measurements: nobody chooses among hundreds of amounts.
      return isFigure(facts) && facts.different > 50 ? 0.2 : 1;
    case 'hidden':
      return facts.yesNo >= 0.9 || facts.different <= 2 ? 1 : 0;
  }
}

interface Guess {
  readonly facts: ColumnFacts;
  readonly role: Role;
  readonly confidence: number;
  readonly reason: string;
}

/** What the values alone say, where the name is foreign: always less sure than a name that fits. */
function guessesFromValues(facts: ColumnFacts, place: number): Guess[] {
  const guess = (role: Role, confidence: number, reason: string): Guess => ({ facts, role, confidence, reason });
  if (facts.cells === 0) return [];
  const found: Guess[] = [];
  if (facts.pictures >= 0.8) found.push(guess('picture', 0.6, 'its values are addresses of pictures'));
  else if (facts.links >= 0.8) found.push(guess('link', 0.5, 'its values are addresses'));
  if (facts.dates >= 0.95) found.push(guess('date_added', 0.3, 'its values are dates'));
  if (facts.money >= 0.5 && isFigure(facts)) found.push(guess('price', 0.5, 'its values are amounts of money'));
  if (facts.codes >= 0.9 && unique(facts) && !isDecimal(facts) && !isFigure(facts))
    found.push(guess('sku', 0.45, 'its values are codes, each different'));
  if (place === 0 && unique(facts) && facts.averageWords < 1.2 && facts.averageLength < 40 && facts.links < 0.1)
    found.push(guess('id', 0.4, 'it comes first and is different in every row'));
  if (
    pathMarks.some(
      (mark) =>
        (facts.separators[mark] ?? 0) > 0.5 && (facts.cells < fewSeparated || (facts.repeated[mark] ?? 0) > 0.5),
    )
  )
    found.push(guess('category', 0.55, 'its values look like paths'));
  // A column that names its language stands beside another one in the shop's own.
  const isText = facts.numeric < 0.2 && facts.links < 0.2 && facts.codes < 0.5 && !namesLanguage(facts.column);
  if (isText && facts.averageWords >= 12) found.push(guess('description', 0.4, 'its values are long texts'));
  const likeness = titleLikeness(facts);
  if (isText && likeness > 0.5)
    found.push(guess('title', 0.2 + 0.2 * likeness, 'its values are like titles: several words, mostly different'));
  return found;
}

/** Roles whose names stand in names of other things as well: sales abroad, sizes of files, scores of tests. */
const easilyMeant: ReadonlySet<Role> = new Set([
  'units_sold',
  'ratings',
  'rating',
  'boost',
  'hidden',
  'option',
  'family',
]);

const currencyName = /(^| )(currency|waehrung|whg|devise|moneda|divisa|valuta|munt)( |$)/;
/** Whether a column names the currency of the amounts beside it. */
const namesCurrency = ({ cells, samples, column }: ColumnFacts): boolean =>
  cells > 0 && currencyName.test(nameKey(column)) && samples.every((text) => /^([A-Z]{3}|\p{Sc})$/u.test(text));

/** What the columns beside it say of a column. */
function guessesFromNeighbours(facts: ColumnFacts, beside: readonly (ColumnFacts | undefined)[]): Guess[] {
  const currency = beside.find((each) => each !== undefined && namesCurrency(each));
  return currency && isFigure(facts) && facts.different > 1
    ? [{ facts, role: 'price', confidence: 0.5, reason: `“${currency.column}” beside it names a currency` }]
    : [];
}

function guessesFor(
  facts: ColumnFacts,
  place: number,
  columns: readonly ColumnFacts[],
  translated: Translated | undefined,
  figures: FiguresByShop | undefined,
): Guess[] {
  if (translated?.isOther || figures?.isOther) return [];
  const named = rolesNamed(translated?.name ?? figures?.name ?? facts.column).map(({ role, confidence }): Guess => {
    const fitting = fitness(role, facts);
    return {
      facts,
      role,
      confidence: confidence * fitting,
      reason:
        fitting >= 0.9
          ? `its name says so${facts.cells > 0 ? ' and its values fit' : ''}`
          : 'its name says so, though its values hardly fit',
    };
  });
  return [
    ...named,
    ...guessesFromValues(facts, place),
    ...guessesFromNeighbours(facts, [columns[place + 1], columns[place - 1]]),
  ].filter(({ role, confidence }) => confidence >= (easilyMeant.has(role) ? 0.4 : 0.25));
}

/** Marks that stand between the levels of a path and nowhere else. */
const pathMarks = ['>', '»', '›', '→', '::'] as const;
/** Of the parts a separator makes, the share that must come again in other rows for them to be values of a list. */
const leastRepeated = 0.2;
/** Cells with a separator below which that says nothing, and short parts are taken for values. */
const fewSeparated = 30;

/** Whether what a separator parts comes again in other rows, as values do and the halves of a title do not. */
function isRepeated(separator: string, facts: ColumnFacts): boolean {
  const cells = (facts.separators[separator] ?? 0) * facts.cells;
  return cells < fewSeparated ? facts.averageWords <= 8 : (facts.repeated[separator] ?? 0) >= leastRepeated;
}

const address = /^(?:(?:https?:)?\/)?\/\S/i;
/** What parts several addresses of pictures in a cell: each part is one by itself. */
const betweenPictures = ({ samples }: ColumnFacts): string =>
  ['|', ';', ',', ' '].find((separator) => {
    const several = samples.map((text) => text.split(separator)).filter((parts) => parts.length > 1);
    return several.length > 0 && several.every((parts) => parts.every((part) => address.test(part.trim())));
  }) ?? '';

/** The separator of a list or a path, where one is common enough; empty where the values are single. */
function separatorOf(role: ColumnReading['as'], facts: ColumnFacts): string {
  const share = (separator: string): number => facts.separators[separator] ?? 0;
  if (role === 'category')
    return (
      [...pathMarks, '|', ' / ', '/', '\\', ';']
        .find((separator) => share(separator) > 0.2 && isRepeated(separator, facts))
        ?.trim() ?? '>'
    );
  if (role === 'tags' || role === 'parts')
    return ['|', ';', ','].find((separator) => share(separator) > 0.05) ?? (role === 'tags' ? ',' : '|');
  if (role === 'picture') return betweenPictures(facts);
  if (role !== 'attribute') return role === 'option' && share('|') > 0.02 && isRepeated('|', facts) ? '|' : '';
  if (share('|') > 0) return isRepeated('|', facts) ? '|' : '';
  const semicolon = share(';') > 0.2 && facts.averageWords < 8 && isRepeated(';', facts);
  return semicolon ? ';' : '';
}

/**
 * A mapping proposed from the columns' names and values. Each role goes to the column that is surest of it; columns
 * left over become attributes of their own, empty ones are passed over. Deterministic.
 */
export function proposeMapping(columns: readonly ColumnFacts[], terms: ShopTerms = {}): ProposedReading[] {
  const { languages: ownLanguages = [] } = terms;
  const translated = translatedColumns(columns, ownLanguages[0]);
  const figures = figuresByShop(columns, terms);
  const guesses = columns
    .flatMap((facts, place) =>
      guessesFor(facts, place, columns, translated.get(facts.column), figures.get(facts.column)).map((guess) => ({
        ...guess,
        place,
      })),
    )
    .sort((a, b) => b.confidence - a.confidence || a.place - b.place || roles.indexOf(a.role) - roles.indexOf(b.role));
  const used = new Map<string, Guess>();
  const given = new Set<Role>();
  for (const guess of guesses) {
    const { role, facts } = guess;
    if (used.has(facts.column)) continue;
    if (given.has(role) && (!sharedRoles.has(role) || guess.confidence < 0.6)) continue;
    used.set(facts.column, guess);
    given.add(role);
  }
  const counted = [...used.values()].find(({ role, facts }) => role === 'stock' && isFigure(facts));
  /** Whether a column says in words what another one counts. */
  const isCounted = (facts: ColumnFacts): boolean =>
    counted !== undefined &&
    !isFigure(facts) &&
    fitness('stock', facts) > 0 &&
    rolesNamed(facts.column).some(({ role, confidence }) => role === 'stock' && confidence >= sureOfName);
  /** Whether a column is for other storefronts, or only fills up this one's own. */
  const isElsewhere = (column: string): boolean => {
    const [said, figure] = [translated.get(column), figures.get(column)];
    if (figure?.isOther) return true;
    if (!said?.isOther || ownLanguages.length === 0) return false;
    return said.language === undefined || !ownLanguages.includes(said.language);
  };
  const asOf = (facts: ColumnFacts): ColumnReading['as'] =>
    used.get(facts.column)?.role ?? (facts.cells === 0 || isElsewhere(facts.column) ? 'skip' : 'attribute');
  const keys = new Set<string>([...roles, 'availability']);
  // What is the storefront's own has the name, before the column that only stands in for it.
  const ownKeys = new Map<string, string>();
  for (const [column, { name, otherwise }] of translated) {
    if (otherwise === undefined) continue;
    ownKeys.set(column, freeAttributeKey(name, keys));
    keys.add(ownKeys.get(column)!);
  }
  return columns.map((facts, place): ProposedReading => {
    const guess = used.get(facts.column);
    const isSaid = !guess && facts.cells > 0 && isCounted(facts);
    const amounts = columns[place - 1];
    const isUnit = !guess && amounts !== undefined && patternFor(asOf(amounts), amounts, facts)?.pattern.endsWith('}');
    const as = isSaid || isUnit ? 'skip' : asOf(facts);
    const inLanguage = translated.get(facts.column);
    const ofShop = figures.get(facts.column);
    const otherwise = inLanguage?.otherwise ?? ofShop?.otherwise;
    const pattern = patternFor(as, facts, columns[place + 1]);
    const writing = writingFor(as, facts);
    const usual = usualReading(facts.column, as);
    const key =
      as === 'attribute' || as === 'option' || as === 'skip'
        ? (ownKeys.get(facts.column) ??
          freeAttributeKey(inLanguage && !inLanguage.isOther ? inLanguage.name : facts.column, keys))
        : usual.key;
    keys.add(key);
    const reason =
      guess?.reason ??
      (isSaid ? `“${counted!.facts.column}” counts what is in stock` : null) ??
      (ofShop?.isOther ? ofShop.reason : null) ??
      (inLanguage?.isOther
        ? inLanguage.language === undefined
          ? `it is taken where “${inLanguage.of}” is empty`
          : `it says “${inLanguage.of}” in ${languageLabel(inLanguage.language)}`
        : null) ??
      (isUnit ? `it holds the unit of “${amounts.column}”` : null) ??
      otherReason(facts, used);
    return {
      ...usual,
      key,
      split: separatorOf(as, facts),
      pattern: pattern?.pattern ?? '',
      ...(writing && { writing: writing.writing }),
      ...(inLanguage?.language !== undefined && { language: inLanguage.language }),
      ...(otherwise !== undefined && { otherwise }),
      confidence: guess?.confidence ?? (facts.cells === 0 ? 0.9 : 0.7),
      reason: [
        reason,
        ofShop && !ofShop.isOther ? ofShop.reason : null,
        otherwise === undefined ? null : `where it is empty, “${otherwise}” is taken`,
        pattern?.reason,
        writing?.reason,
      ]
        .filter(Boolean)
        .join('; '),
    };
  });
}

/** Why a column is no more than an attribute of its own. */
function otherReason(facts: ColumnFacts, used: ReadonlyMap<string, Guess>): string {
  if (facts.cells === 0) return 'it is empty in the rows looked at';
  if (facts.tradeNumbers > 0.6)
    return 'its values are article numbers with right check digits, searched as they are printed';
  const [named] = rolesNamed(facts.column);
  const other = [...used.values()].find(({ role }) => role === named?.role);
  return named && other && named.confidence >= sureOfName && !sharedRoles.has(named.role)
    ? `its name says ${named.role.replaceAll('_', ' ')}, which “${other.facts.column}” fits better`
    : 'its name is none the shop knows by itself';
}

/** Two columns either of which may be the title: who knows the shop is asked. */
export interface TitleDoubt {
  readonly columns: readonly string[];
}

/** Of two columns, how nearly alike their titles must be for it to be a question, and how like titles at least. */
const closeTitles = 0.12;
const leastTitle = 0.6;

/** The columns that may be the title, the likeliest first; null where one is clearly it. */
export function doubtOfTitle(columns: readonly ColumnFacts[], readings: readonly ProposedReading[]): TitleDoubt | null {
  const chosen = columns.find(({ column }) => readings.some((each) => each.column === column && each.as === 'title'));
  if (!chosen || chosen.cells < 20) return null;
  const isNamed = (facts: ColumnFacts): boolean =>
    rolesNamed(facts.column).some(({ role, confidence }) => role === 'title' && confidence >= sureOfName);
  const free = (facts: ColumnFacts): boolean =>
    readings.some(
      ({ column, as, language }) =>
        column === facts.column &&
        !(language && language !== own) &&
        (as === 'attribute' || as === 'sku' || as === 'id'),
    );
  const own = readings.find(({ as }) => as === 'title')?.language;
  const sure = titleLikeness(chosen);
  const rivals = columns.filter(
    (facts) =>
      facts !== chosen &&
      free(facts) &&
      isNamed(facts) === isNamed(chosen) &&
      titleLikeness(facts) >= Math.max(leastTitle, sure - closeTitles) &&
      facts.different >= chosen.different * 0.5,
  );
  return rivals.length === 0 ? null : { columns: [chosen, ...rivals.slice(0, 2)].map(({ column }) => column) };
}

/** The mapping of a proposal, without what was said for it. */
export function mappingOf(readings: readonly ProposedReading[], families: Mapping['families']): Mapping {
  return {
    format: 'clever-shelf-mapping',
    version: 1,
    columns: readings.map(({ column, as, key, split, pattern, writing, language, otherwise }) => ({
      ...{ column, as, key, split, pattern },
      ...(writing && { writing }),
      ...(language && { language }),
      ...(otherwise !== undefined && { otherwise }),
    })),
    families,
  };
}
