import type { CompanionWhy, NotShownWhy } from '../../../../core/companions/companion.ts';
import { counted } from '../../../look/price.ts';

/** A number of visits that chance would have, as one says it. */
function byChanceInWords(visits: number): string {
  if (visits < 0.1) return 'hardly one';
  return visits < 10 ? visits.toFixed(1) : String(Math.round(visits));
}
const listed = (items: readonly string[]): string =>
  items.length > 1 ? `${items.slice(0, -1).join(', ')} and ${items.at(-1)}` : (items[0] ?? '');

/** Values told of both, at most. */
const mostTold = 3;

/** Why a product stands beside another one, in a sentence without a full stop. `called` names an attribute. */
export function whyInWords(why: CompanionWhy, called: (attribute: string) => string): string {
  switch (why.is) {
    case 'byHand':
      return 'Chosen by hand';
    case 'together':
      return `In ${why.both} of ${counted(why.of, 'visit')} with this product shoppers took or opened it too; chance would have ${byChanceInWords(why.byChance)}`;
    case 'kind':
      return `In ${why.both} of ${counted(why.of, 'visit')} with others of its kind (${why.kind}) shoppers took or opened it too; chance would have ${byChanceInWords(why.byChance)}`;
    case 'catalog': {
      const said = [
        ...(why.words.length > 0
          ? [`both say ${listed(why.words.slice(0, mostTold).map((word) => `“${word}”`))}`]
          : []),
        ...why.values.slice(0, mostTold).map(({ key, value }) => `${called(key)} is ${value} of both`),
      ];
      return `From the catalog: ${said.length > 0 ? listed(said) : 'of the same kind, and near in price'}`;
    }
  }
}

/** Why a product chosen by hand does not show. */
export const notShownInWords: Readonly<Record<NotShownWhy, string>> = {
  gone: 'no longer in the catalog',
  hidden: 'hidden from companions',
  soldOut: 'sold out; shown again when it is in stock',
};
