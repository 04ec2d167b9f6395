import { bindCondition } from '../conditions/bindCondition.ts';
import type { RecordSet } from '../conditions/recordSet.ts';
import { shuffleOf } from '../ranking/shuffle.ts';
import type { Source } from '../rules/effects.ts';
import { familiesMet } from '../rules/familiesMet.ts';
import { mostLeading } from '../setup/terms/beginTerms.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

/** What stands before everything else where nothing is searched for. */
export interface Leading {
  /** Families in order, those that are there. */
  readonly first: readonly number[];
  readonly source: Source;
  /** Families that stand before the others, in whatever order both have; null where none do. */
  readonly ahead: RecordSet | null;
  /** The order of the day; null where they are not shuffled. */
  readonly sorted: ReturnType<PreparedSetup['sortedBy']>;
}

const none: Leading = { first: [], source: { kind: 'begin' }, ahead: null, sorted: null };
const known = new WeakMap<PreparedSetup, Leading>();

/**
 * What leads under a setup; `find` answers the first families of a search. A collection made by hand leads in its order, any
 * other one as the rest is ordered. Cost: once for a setup, what its condition or the search costs.
 */
export function leadingOf(
  engine: Engine,
  prepared: PreparedSetup,
  find: (search: string, most: number) => readonly number[],
): Leading {
  const before = known.get(prepared);
  if (before) return before;
  const made = bind(engine, prepared, find);
  known.set(prepared, made);
  return made;
}

function bind(
  { snapshot }: Engine,
  { setup, asked, today }: PreparedSetup,
  find: (search: string, most: number) => readonly number[],
): Leading {
  const { leads } = setup.resultsPage.begin;
  const familiesOf = (ids: readonly string[]): number[] =>
    ids.map((id) => snapshot.findFamily(id)).filter((family) => family >= 0);
  switch (leads?.what) {
    case undefined:
      return none;
    case 'products':
      return { ...none, first: familiesOf(leads.products) };
    case 'search':
      return { ...none, first: find(leads.search, mostLeading) };
    case 'shuffle':
      return { ...none, sorted: { order: { key: '', label: '', signals: [] }, signals: [shuffleOf(snapshot, today)] } };
    case 'collection': {
      const members = asked.collections.get(leads.collection);
      if (!members) return none;
      const source: Source = { kind: 'collection', id: leads.collection, name: members.title ?? leads.collection };
      return members.condition
        ? { ...none, source, ahead: familiesMet(snapshot, bindCondition(snapshot, members.condition, asked)) }
        : { ...none, source, first: familiesOf(members.products).slice(0, mostLeading) };
    }
  }
}
