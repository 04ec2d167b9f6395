import type { DeskState } from '../../api/stateSchema.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import { describeChanges } from '../questions/describeChanges.ts';
import type { Desk } from './services.ts';

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
export function deskState({ ref, setups, catalogs, heads, names: namesUnder, person }: Desk): DeskState {
  const { storefront, draft } = heads();
  const setup = setups.draft();
  const names = namesUnder(setup);
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
