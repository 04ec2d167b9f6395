import type { DescribedChange, DeskState } from '../../api/stateSchema.ts';
import { describeChange } from '../../core/setup/describeChange.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import { describeDecision } from '../../core/setup/parts/products.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import { namesOf } from '../catalog/namesOf.ts';
import type { Desk } from './services.ts';

/** Names of groups by change: a change that stays is the same object, and there may be ten thousands of them. */
const knownGroups = new WeakMap<EntryChange, string>();

/** What makes two decisions about different products one change when they are reported. */
export function groupOf(change: EntryChange): string | null {
  if (change.part !== 'products') return null;
  const known = knownGroups.get(change) ?? groupName(change);
  knownGroups.set(change, known);
  return known;
}

function groupName({ before, after }: EntryChange): string {
  const { product: _, variant: __, ...decision } = (after ?? before) as Decision;
  return canonical([after === null ? 'dropped' : 'decided', decision]).slice(0, 2000);
}

/** What was told of a list of changes, by which names. */
const describedBefore = new WeakMap<
  readonly EntryChange[],
  { readonly names: NamesForChanges; readonly described: DescribedChange[] }
>();

/** Changes in words; the same decision about several products is one of them. What was told of a list is kept by it. */
export function describeChanges(changes: readonly EntryChange[], names: NamesForChanges): DescribedChange[] {
  const known = describedBefore.get(changes);
  if (known?.names === names) return known.described;
  const described = describeAnew(changes, names);
  describedBefore.set(changes, { names, described });
  return described;
}

function describeAnew(changes: readonly EntryChange[], names: NamesForChanges): DescribedChange[] {
  const groups = new Map<string, EntryChange[]>();
  for (const change of changes) {
    const name = groupOf(change);
    if (name === null) continue;
    const known = groups.get(name);
    if (known) known.push(change);
    else groups.set(name, [change]);
  }
  return changes.flatMap((change): DescribedChange[] => {
    const name = groupOf(change);
    const together = name === null ? [] : groups.get(name)!;
    if (together.length < 2) return [{ ...change, sentences: describeChange(change, names) }];
    if (together[0] !== change) return [];
    const sentence = describeDecision((change.after ?? change.before) as Decision, change.after === null, names);
    const products = new Set(together.map(({ before, after }) => ((after ?? before) as Decision).product)).size;
    return [
      {
        ...change,
        sentences: [`${sentence} for ${products} products`],
        group: { name: name!, count: together.length },
      },
    ];
  });
}

const counts = new WeakMap<object, number>();
/** How many entries a part has; parts are never changed once made. */
function countOf(part: object): number {
  const count = counts.get(part) ?? Object.keys(part).length;
  counts.set(part, count);
  return count;
}

const inWords = (changes: readonly EntryChange[] | null, names: NamesForChanges): string | null =>
  changes && describeChanges(changes, names).flatMap(({ sentences }) => sentences)[0]!;

/** Everything the desk shows of a draft; read, never written. */
export function deskState({ ref, setups, catalogs, heads, person }: Desk): DeskState {
  const { storefront, draft } = heads();
  const names = namesOf(catalogs.current());
  const setup = setups.draft();
  const live = setups.live();
  const catalog = catalogs.current();
  return {
    storefront: { id: ref.storefront, name: storefront?.name || live?.setup.storefront.shop.name || ref.storefront },
    draft: {
      ...{ id: ref.draft, name: draft?.name || ref.draft },
      ...{ base: setups.baseNumber(), isBehind: setups.isBehind() },
    },
    revision: setups.revision(),
    setup: { ...setup, products: {} },
    decisions: countOf(setup.products),
    changes: setups.changesByPart().flatMap((part) => describeChanges(part, names)),
    setAside: setups.setAside().length,
    canUndo: inWords(setups.nextUndo(person), names),
    canRedo: inWords(setups.nextRedo(person), names),
    release: live && { number: live.number, at: new Date(live.at).toISOString(), who: live.who },
    catalog: {
      generation: catalog?.generation ?? 0,
      records: catalog?.snapshot.records ?? 0,
      families: catalog?.snapshot.families ?? 0,
    },
  };
}
