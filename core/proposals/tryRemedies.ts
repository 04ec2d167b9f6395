import type { FirstPage } from '../compare/firstPage.ts';
import { firstPage } from '../compare/firstPage.ts';
import type { WeighedSearch } from '../compare/weighedSearch.ts';
import { climb } from '../search/climb.ts';
import { shelfFor } from '../search/emptyShelf.ts';
import { type Engine, type PreparedSetup, prepareSetup } from '../search/prepareSetup.ts';
import { type EntryEdit, withEntries } from '../setup/withEntry.ts';
import { tokenize } from '../text/tokenize.ts';
import type { DeadEnd } from './deadEnds.ts';
import type { Remedy } from './remedy.ts';

/** A remedy with what comes of it. */
export interface TriedRemedy extends Omit<Remedy, 'edits'> {
  /** Products a shopper would find, and the first of them, by id. */
  readonly total: number;
  readonly first: readonly string[];
  /** Where nothing is found still: the message that stands there; null where something is. */
  readonly message: string | null;
  /** Dead ends it mends, this one among them, and how often they are made. */
  readonly mends: number;
  readonly mendsTimes: number;
  /** Of the searches made most, others whose first page changes, the most frequent first. */
  readonly others: readonly string[];
}

const shownFirst = 4;
/** Dead ends that find nothing and are looked at whatever their words are: those most shoppers meet. */
const mostLookedAt = 200;

/** What of a first page shoppers would notice. */
const toldBy = ({ families, beside }: FirstPage): string => JSON.stringify([families, beside]);

/**
 * Tries remedies of one dead end out: what the shopper would see, what else they mend, and what else they change. `others`
 * are the searches that must not change unseen. Cost: a setup bound and the searches that have its words for each remedy.
 */
export function tryRemedies(
  engine: Engine,
  prepared: PreparedSetup,
  remedies: readonly Remedy[],
  about: {
    readonly deadEnd: DeadEnd;
    readonly deadEnds: readonly DeadEnd[];
    readonly others: readonly WeighedSearch[];
  },
): TriedRemedy[] {
  const { deadEnd, deadEnds, others } = about;
  const before = new Map<string, string>();
  const pageBefore = (search: string): string => {
    const known = before.get(search) ?? toldBy(firstPage(engine, prepared, search));
    before.set(search, known);
    return known;
  };
  /** Whether a search leads somewhere that it did not: to products, elsewhere, or to content of its own. */
  const isMended = (search: string, after: PreparedSetup): boolean => {
    const is = firstPage(engine, after, search);
    if (toldBy(is) !== pageBefore(search)) return is.total > 0 || is.beside.elsewhere !== '';
    return is.total === 0 && shelfFor(engine, prepared, search).key !== shelfFor(engine, after, search).key;
  };
  const ends = new Set(deadEnds.flatMap(({ search, also }) => [search, ...also]));
  const isOther = ({ search }: WeighedSearch): boolean => !ends.has(search);
  const tried = remedies.map(({ edits, ...remedy }): TriedRemedy => {
    const after = withRemedy(engine, prepared, edits);
    // Words change no search that has none of them; a plan none but its own.
    const words = new Set(edits.flatMap(({ value }) => wordsIn(value)));
    const isTouched = ({ search }: { readonly search: string }): boolean =>
      tokenize(search).some((token) => words.has(token));
    // A typo of a word that means something now leads on too.
    const mended = deadEnds.filter(
      (each, at) => (isTouched(each) || (each.kind === 'nothing' && at < mostLookedAt)) && isMended(each.search, after),
    );
    const changed = others
      .filter((each) => isOther(each) && isTouched(each))
      .filter(({ search }) => toldBy(firstPage(engine, after, search)) !== pageBefore(search));
    const { ranking } = climb(
      engine,
      after,
      { query: deadEnd.search, filters: {}, page: 1, limit: shownFirst },
      shownFirst,
    );
    return {
      ...remedy,
      total: ranking.total,
      first: ranking.placed.map(({ candidate }) => engine.snapshot.familyId(ranking.candidates.families[candidate]!)),
      message: ranking.foundAny
        ? null
        : shelfFor(engine, after, deadEnd.search).content.message.replaceAll('{search}', deadEnd.search),
      mends: mended.length,
      mendsTimes: mended.reduce((sum, { searches }) => sum + searches, 0),
      others: changed.map(({ search }) => search),
    };
  });
  // What mends nothing is no remedy.
  return tried.filter(({ mends }) => mends > 0);
}

const withRemedy = (
  engine: Engine,
  { setup, when, asked }: PreparedSetup,
  edits: readonly EntryEdit[],
): PreparedSetup => prepareSetup(engine, withEntries(setup, edits), when.now, asked.collections);

/** The words that an entry of the setup is about: all texts in it. */
function wordsIn(value: unknown): string[] {
  if (typeof value === 'string') return tokenize(value);
  if (Array.isArray(value)) return value.flatMap(wordsIn);
  return value !== null && typeof value === 'object' ? Object.values(value).flatMap(wordsIn) : [];
}
