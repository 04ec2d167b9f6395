import type { Card } from '../../core/answer/answer.ts';
import type { Beside } from '../../core/answer/beside.ts';
import { own } from '../../core/base/named.ts';
import type { CompanionWhy, NotShownWhy } from '../../core/companions/companion.ts';
import { shownVariant } from '../../core/companions/companionsOf.ts';
import { kindCalled } from '../../core/companions/inCatalog.ts';
import { kindsOf } from '../../core/companions/kinds.ts';
import { countTogether, type Relation, type Together } from '../../core/companions/together.ts';
import { describeProduct } from '../../core/product/describeProduct.ts';
import { shownInFile } from '../../core/product/shownInFile.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { type CompanionShelf, mostChosen } from '../../core/setup/terms/companionTerms.ts';
import { visitsIn } from '../demand/togetherStore.ts';
import { Refused } from '../refused.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';
import { companionPlace, openBeside } from './besideProducts.ts';

/** Computed ones that the desk is shown of each list: more than shoppers see, so that there is something to choose from. */
const shownAtDesk = 12;
/** What stands beside products. */
export function companionQuestions({ ready, current, db, storefront }: Workbench) {
  const beside = openBeside({ db, storefront });
  /** The family of a variant's or of a product's id, and the variant, -1 where the product was meant. */
  const foundBy = ({ engine }: Ready, id: string): { readonly family: number; readonly record: number } => {
    const record = current.reader.findRecord(id);
    if (record >= 0) return { family: engine.snapshot.recordFamily[record]!, record };
    return { family: engine.snapshot.findFamily(id), record: -1 };
  };
  return {
    /** What the log says of which products belong together. Cost: a pass over what shoppers opened and took. */
    together(ref: SetupRef): Together {
      const { snapshot } = ready(ref).engine;
      const kinds = kindsOf(snapshot);
      return countTogether(visitsIn(db, storefront), (product) => {
        const family = snapshot.findFamily(product);
        return family < 0 ? null : (kinds.names[kinds.ofFamily[family]!] ?? null);
      });
    },
    /** What some things are now, and what goes with them. Cost: a card each, and what is computed for the first twenty of them. */
    beside(ref: SetupRef, ids: readonly string[], at: Extract<CompanionShelf, 'basket' | 'emptyShelf'>): Beside {
      const here = ready(ref);
      const { setup } = here.setup;
      const found = ids
        .map((id) => ({ id, ...foundBy(here, id) }))
        .filter(({ family }) => family >= 0 && shownInFile(here.engine.snapshot, family).length > 0);
      const families = found.map(({ family }) => family);
      const companions = beside.ofSeveral(here, families, setup.companionShelves.shown[at]);
      return {
        things: found.flatMap(({ id, family, record }): Beside['things'] => {
          const [from, to] = here.engine.snapshot.recordsOf(family);
          const records = Array.from({ length: to - from }, (_, index) => here.view.record(from + index));
          const product = describeProduct(here.engine.snapshot.familyId(family), records, setup);
          if (!product) return [];
          const variant = record < 0 ? undefined : product.variants[record - from];
          return [
            {
              ...{ id, product: product.id, title: product.title },
              variant: product.variants.length > 1 ? (variant?.name ?? '') : '',
              picture: variant?.picture ?? product.picture,
              price: variant?.price ?? product.lowest,
              available: variant?.available ?? product.available,
            },
          ];
        }),
        currency: setup.storefront.shop.currency,
        companions: beside.cards(here, companions),
      };
    },
    /** What stands beside one product, each with why. */
    companions(ref: SetupRef, id: string) {
      const here = ready(ref);
      const { snapshot } = here.engine;
      const family = snapshot.findFamily(id);
      if (family < 0)
        throw new Refused(404, { code: 'unknown-product', message: 'This product is not in the catalog.' });
      const kinds = kindsOf(snapshot);
      const kind = kinds.ofFamily[family]!;
      const { companions: byHand = [], alternatives = [] } = own(here.setup.setup.companions, id) ?? {};
      const list = (
        relation: Relation,
        chosen: readonly string[],
      ): {
        shown: { card: Card; why: CompanionWhy }[];
        notShown: { product: string; why: NotShownWhy }[];
      } => {
        const found = beside.of(here, family, relation, Math.min(mostChosen, chosen.length) + shownAtDesk);
        const cards = beside.cards(here, found);
        return {
          shown: found.map(({ why }, at) => ({ card: cards[at]!, why })),
          notShown: chosen.flatMap((product) => {
            const why = shownVariant(companionPlace(here), snapshot.findFamily(product));
            return typeof why === 'number' ? [] : [{ product, why }];
          }),
        };
      };
      return {
        kind: kind < 0 ? '' : kindCalled(kinds, kind),
        visits: beside.log.visits,
        companions: list('goesWith', byHand),
        alternatives: list('standsIn', alternatives),
      };
    },
  };
}
