import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { EmptyShelf as Content } from '../../../core/setup/parts/emptyShelf.ts';
import { longest, most } from '../../../core/setup/terms/limits.ts';
import { Button, IconButton } from '../parts/Button.tsx';
import { ProductLine, useProducts } from '../parts/ProductLine.tsx';
import { ProductPicker } from '../parts/ProductPicker.tsx';
import { Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { SearchChips } from '../parts/SearchChips.tsx';
import { SortableList } from '../parts/SortableList.tsx';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';
import { useTrial } from '../state/trial.ts';

/** A search that no shop of this kind answers, for trying the empty shelf out. */
const hopeless = 'zebra xylophone';

/** Arrange: what a shopper sees whose search finds nothing. */
export function EmptyShelf() {
  const { setup } = useDeskState();
  const isChanged = useChanged('emptyShelf')('content');
  const search = useTrial((state) => state.search);
  const { content } = setup.emptyShelf;
  const save = (change: Partial<Content>): void =>
    void edit({ part: 'emptyShelf', key: 'content', value: { ...content, ...change } });
  const products = useProducts(content.products);
  const items = content.products.map((id) => ({ id, name: products?.get(id)?.title ?? id }));
  return (
    <>
      <ScreenHead
        title="Empty shelf"
        aside={<Button onClick={() => search(hopeless)}>Try a search that finds nothing</Button>}
      >
        What a shopper sees whose search finds nothing. A way on is better than an apology.
      </ScreenHead>
      <Section title="Message" note="{search} stands for what the shopper typed.">
        <Message value={content.message} isChanged={isChanged} change={(message) => save({ message })} />
      </Section>
      <Section title="Searches to try" note="Shown as buttons. Click one to see what it finds.">
        <SearchChips
          label="Suggested searches"
          searches={content.searches}
          change={(searches) => save({ searches: searches.slice(0, 20) })}
        />
      </Section>
      <Section title="Products to look at instead" note="In this order; hidden products are left out.">
        {items.length === 0 && (
          <Nothing>No products chosen: the shopper sees only the message and the searches.</Nothing>
        )}
        <SortableList
          label="Products on the empty shelf, in order"
          items={items}
          move={(item, from, to) => {
            const next = content.products.filter((_, index) => index !== from);
            next.splice(to, 0, item.id);
            save({ products: next });
          }}
        >
          {(item, grip) => (
            <div className={`${shelfRow(isChanged)} flex items-center gap-2 py-1.5 pr-2 pl-2`}>
              {grip}
              <span className="min-w-0 flex-1">
                <ProductLine id={item.id} card={products?.get(item.id)} isKnown={products !== undefined} />
              </span>
              <IconButton
                label={`Take ${item.name} off`}
                onClick={() => save({ products: content.products.filter((id) => id !== item.id) })}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </div>
          )}
        </SortableList>
        {items.length < most.products && (
          <div className="mt-2">
            <ProductPicker
              label="Choose a product"
              chosen={new Set(content.products)}
              choose={({ id }) => save({ products: [...content.products, id] })}
            />
          </div>
        )}
      </Section>
    </>
  );
}

function Message({
  value,
  isChanged,
  change,
}: {
  readonly value: string;
  readonly isChanged: boolean;
  change(value: string): void;
}) {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <div className={shelfRow(isChanged)}>
      <textarea
        aria-label="Message of the empty shelf"
        className="block w-full resize-y rounded-t-[7px] bg-transparent px-3 py-2"
        rows={3}
        maxLength={longest.sentence}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          change(event.target.value);
        }}
      />
    </div>
  );
}
