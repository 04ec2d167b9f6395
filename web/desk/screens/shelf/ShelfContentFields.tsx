import { useQuery } from '@tanstack/react-query';
import type { ShelfContent } from '../../../../core/setup/parts/shelfContent.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { mostLookedUp, mostShelfArticles, mostTips } from '../../../../core/setup/terms/shelfTerms.ts';
import { isShipped } from '../../../../core/setup/terms/shopTexts.ts';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { NumberField } from '../../parts/Controls.tsx';
import { GrowingText } from '../../parts/GrowingText.tsx';
import { ItemChips } from '../../parts/ItemChips.tsx';
import { OrderedProducts } from '../../parts/OrderedProducts.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { SearchChips } from '../../parts/SearchChips.tsx';
import { contentList } from '../../state/collections.ts';
import { useDeskState } from '../../state/deskState.ts';

const lookedUp = { bestSellers: 'Best sellers', newest: 'Newest products' } as const;

interface OfShelf {
  /** What it is called inside a sentence. */
  readonly of: string;
  readonly content: ShelfContent;
  readonly isChanged: boolean;
  save(change: Partial<ShelfContent>): void;
}

/** Everything that may stand where a search finds nothing, in the order in which it does. */
export function ShelfContentFields({ of, content, isChanged, save }: OfShelf) {
  const { revision } = useDeskState();
  const { data } = useQuery(contentList(revision));
  return (
    <>
      <Section
        title="Message"
        note={`{search} stands for what the shopper typed.${
          isShipped(content.message) ? ' Left as it is, it is said in the shopper’s language.' : ''
        }`}
      >
        <GrowingText
          label={`Message of ${of}`}
          value={content.message}
          isChanged={isChanged}
          rows={3}
          longest={longest.sentence}
          change={(message) => save({ message })}
        />
      </Section>
      <Section title="Tips" note="A line each, up to six.">
        <GrowingText
          label={`Tips of ${of}`}
          value={(content.tips ?? []).join('\n')}
          isChanged={isChanged}
          rows={2}
          longest={(longest.sentence + 1) * mostTips}
          change={(text) =>
            save({
              tips: text
                .split('\n')
                .map((line) => line.slice(0, longest.sentence))
                .filter((line) => line.trim() !== '')
                .slice(0, mostTips),
            })
          }
        />
      </Section>
      <Section title="Searches to try" note="Shown as buttons. Click one to see what it finds.">
        <SearchChips
          label="Suggested searches"
          searches={content.searches}
          change={(searches) => save({ searches: searches.slice(0, most.suggestions) })}
        />
      </Section>
      <Section title="Products to look at instead" note="In this order; hidden products are left out.">
        {content.products.length === 0 && <Nothing>No products chosen.</Nothing>}
        <OrderedProducts
          label={`Products of ${of}, in order`}
          add="Choose a product"
          takeOut={(title) => `Take ${title} off`}
          ids={content.products}
          most={most.products}
          isChanged={isChanged}
          change={(products) => save({ products: [...products] })}
        />
        <p className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13.5px]">
          {(['bestSellers', 'newest'] as const).map((field) => (
            <span key={field} className="inline-flex items-center gap-1.5">
              {lookedUp[field]}
              <NumberField
                label={`${lookedUp[field]} shown on ${of}`}
                value={content[field] ?? 0}
                least={0}
                most={mostLookedUp}
                className="w-[52px]"
                change={(many) => save({ [field]: Math.round(many) })}
              />
            </span>
          ))}
          <span className="text-soft">In stock only, by units sold and by date. 0 shows none.</span>
        </p>
      </Section>
      <Section title="To go on from there">
        <div className="space-y-1.5 text-[13.5px]">
          <div className="flex flex-wrap items-center gap-1.5">
            <span className="w-[90px]">Collection</span>
            <CollectionChips
              label="Choose a collection"
              chosen={content.collection === undefined ? [] : [content.collection]}
              most={1}
              change={([collection]) => save({ collection })}
            />
          </div>
          <div className="flex flex-wrap items-center gap-1.5">
            <span className="w-[90px]">Articles</span>
            <ItemChips
              label="Choose an article"
              find="Articles"
              known={data?.articles ?? []}
              chosen={content.articles ?? []}
              most={mostShelfArticles}
              change={(articles) => save({ articles })}
            />
          </div>
        </div>
      </Section>
    </>
  );
}
