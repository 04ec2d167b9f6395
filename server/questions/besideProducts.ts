import type { Card } from '../../core/answer/answer.ts';
import { firstText } from '../../core/catalog/record.ts';
import {
  type Companion,
  type CompanionPlace,
  companionsOf,
  companionsOfSeveral,
  type SaidByLog,
} from '../../core/companions/companionsOf.ts';
import type { Relation } from '../../core/companions/together.ts';
import { cardMaker } from '../../core/search/productCard.ts';
import { openTogether } from '../demand/togetherStore.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

/** Things of a basket whose companions are looked for. */
const mostLookedAt = 20;

/** The catalog and a setup as companions are chosen from them. */
export const companionPlace = ({ engine, setup }: Pick<Ready, 'engine' | 'setup'>): CompanionPlace => ({
  snapshot: engine.snapshot,
  inStock: engine.inStock,
  setup: setup.setup,
  ...setup.beside,
});

/** What stands beside the products of a storefront, by its catalog, a setup and its log. */
export function openBeside({ db, storefront }: Pick<Workbench, 'db' | 'storefront'>) {
  const log: SaidByLog = openTogether(db, storefront);
  const titleOf = ({ view, engine }: Ready, family: number): string =>
    firstText(view.record(engine.snapshot.recordsOf(family)[0]).values.title);
  return {
    log,
    of: (here: Ready, family: number, relation: Relation, most: number): Companion[] =>
      companionsOf(companionPlace(here), { family, title: titleOf(here, family), relation, most }, log),
    /** What goes with several of them at once, of which the first twenty are looked at. */
    ofSeveral(here: Ready, families: readonly number[], most: number): Companion[] {
      if (most === 0) return [];
      const products = [...new Set(families)].slice(0, mostLookedAt);
      const titled = products.map((family) => ({ family, title: titleOf(here, family) }));
      return companionsOfSeveral(companionPlace(here), titled, most, log);
    },
    cards(here: Ready, companions: readonly Companion[]): Card[] {
      const cardOf = cardMaker(here.engine, here.setup, {
        ...{ readRecord: here.view.record, chosen: undefined, hidden: here.setup.beside.hidden },
      });
      return companions.map(({ record }) => cardOf(record));
    },
  };
}
