import { own } from '../../core/base/named.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { patchSnapshot, type RecordChange } from '../../core/index/patchSnapshot.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { squash } from '../../core/index/squash.ts';
import { applyDecisions, decisionsByProduct } from '../../core/rules/decisions.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import type { CatalogReader } from './catalogReader.ts';

/**
 * The catalog as it stands under one setup: the file's facts, what a feed changed of them since, and what was decided
 * here, with an index that is patched and never rebuilt. Facts are shared by all setups; each setup has a view.
 */
export interface CurrentCatalog {
  readonly reader: CatalogReader;
  /** Version of the facts that the views show. */
  readonly facts: number;
  view(setup: Setup): CatalogView;
  /** The same made anew and not kept, so that what is made often is ready to be made when somebody waits for it. */
  passingView(setup: Setup): CatalogView;
}

/** The catalog under one setup. Two setups with the same decisions share one. */
export interface CatalogView {
  readonly snapshot: Snapshot;
  /** The record as it stands. */
  record(ordinal: number): CatalogRecord;
  /** Changes with every change of the index. */
  readonly version: number;
}

/** What a view holds beyond the index in the file; never changed once made, since answers may still be read from it. */
interface State {
  readonly snapshot: Snapshot;
  /** Records that differ from those the file's index was built from, as the view's index has them. */
  readonly records: ReadonlyMap<number, CatalogRecord>;
  /** The decisions applied, by product, each as its canonical text. */
  readonly applied: ReadonlyMap<string, string>;
  readonly facts: number;
  readonly version: number;
}

/** Views kept: the draft's, what is published, and what was published before. */
const viewsKept = 3;
let versions = 0;

/** Which attributes the file wins changes what decisions do, so it belongs to a decision's text. */
function textOf(decisions: readonly Decision[], setup: Setup): string {
  const wins = decisions.filter(({ attribute }) => own(setup.attributes, attribute)?.wins === 'file');
  return `${decisions.map(decisionText).join()}/${wins.map(({ attribute }) => attribute).join()}`;
}

/** Texts of decisions: those that stay are the same objects from one revision to the next, and may be ten thousands. */
const texts = new WeakMap<Decision, string>();
function decisionText(decision: Decision): string {
  const known = texts.get(decision) ?? canonical(decision);
  texts.set(decision, known);
  return known;
}

export function openCurrentCatalog(reader: CatalogReader): CurrentCatalog {
  let states: readonly State[] = [];

  /** Numbers of the records whose facts or decisions changed since the state was made. */
  function changedSince(state: State, wanted: ReadonlyMap<string, string>, facts: number): number[] {
    const products = [
      ...[...wanted].filter(([product, text]) => state.applied.get(product) !== text).map(([product]) => product),
      ...[...state.applied.keys()].filter((product) => !wanted.has(product)),
    ];
    const ordinals = new Set(facts === state.facts ? [] : reader.changedSince(state.facts));
    for (const product of products) {
      const family = reader.snapshot.findFamily(product);
      if (family < 0) continue;
      const [from, to] = reader.snapshot.recordsOf(family);
      for (let ordinal = from; ordinal < to; ordinal++) ordinals.add(ordinal);
    }
    return [...ordinals].sort((a, b) => a - b);
  }

  function broughtUpToDate(state: State, setup: Setup, wanted: ReadonlyMap<string, string>, facts: number): State {
    const byProduct = decisionsByProduct(setup);
    const changes = changedSince(state, wanted, facts).map((ordinal): RecordChange => {
      const fact = reader.record(ordinal);
      const before = state.records.get(ordinal) ?? reader.builtRecord(ordinal);
      return { ordinal, before, after: applyDecisions(fact, byProduct.get(fact.familyId) ?? [], setup) };
    });
    const patch = patchSnapshot(state.snapshot, changes);
    const records = new Map(state.records);
    for (const { ordinal, after } of changes) records.set(ordinal, after);
    return {
      snapshot: patch ? squash(reader.reopen([...state.snapshot.layers, patch])) : state.snapshot,
      version: patch ? ++versions : state.version,
      records,
      applied: wanted,
      facts,
    };
  }

  const beginning: State = { snapshot: reader.snapshot, records: new Map(), applied: new Map(), facts: 0, version: 0 };
  const wantedBy = (setup: Setup): ReadonlyMap<string, string> =>
    new Map([...decisionsByProduct(setup)].map(([product, list]) => [product, textOf(list, setup)]));
  const distance = ({ applied }: State, wanted: ReadonlyMap<string, string>): number =>
    [...wanted].filter(([product, text]) => applied.get(product) !== text).length +
    [...applied.keys()].filter((product) => !wanted.has(product)).length;
  const viewOf = ({ snapshot, records, version }: State): CatalogView => ({
    snapshot,
    version,
    record: (ordinal) => records.get(ordinal) ?? reader.record(ordinal),
  });

  return {
    reader,
    get facts() {
      return reader.factVersion();
    },
    view(setup) {
      const facts = reader.factVersion();
      const wanted = wantedBy(setup);
      const nearest = [...states, beginning].sort((a, b) => distance(a, wanted) - distance(b, wanted))[0]!;
      const isNow = nearest.facts === facts && distance(nearest, wanted) === 0;
      const state = isNow ? nearest : broughtUpToDate(nearest, setup, wanted, facts);
      const others = states.filter((other) => other !== state && !(distance(other, wanted) === 0));
      states = [state, ...others].slice(0, viewsKept);
      return viewOf(state);
    },
    passingView: (setup) => viewOf(broughtUpToDate(beginning, setup, wantedBy(setup), reader.factVersion())),
  };
}
