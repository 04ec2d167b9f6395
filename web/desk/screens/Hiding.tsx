import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Eye, Tag } from 'lucide-react';
import { hidingKey } from '../../../core/setup/hidingKey.ts';
import type { Hiding as HidingEntry } from '../../../core/setup/parts/hiding.ts';
import { call } from '../../client/call.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { Picker, PickerItem } from '../parts/Picker.tsx';
import { ProductLine, useProducts } from '../parts/ProductLine.tsx';
import { ProductPicker } from '../parts/ProductPicker.tsx';
import { Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';

const hide = (hiding: HidingEntry): void => void edit({ part: 'hiding', key: hidingKey(hiding), value: hiding });
const show = (hiding: HidingEntry): void => void edit({ part: 'hiding', key: hidingKey(hiding), value: null });

/** Tags that hold so many characters of what is typed, with how many products have each. */
function useTags(contains: string) {
  return useQuery({
    queryKey: ['desk', 'tags', contains],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('values', { query: { attribute: 'tags', contains }, signal }),
  });
}

/** Arrange: what shoppers must not find, one product or all with a tag. */
export function Hiding() {
  const { setup } = useDeskState();
  const changed = useChanged('hiding');
  const all = Object.values(setup.hiding);
  const hiddenProducts = all.flatMap((hiding) => (hiding.what === 'product' ? [hiding] : []));
  const hiddenTags = all.flatMap((hiding) => (hiding.what === 'tag' ? [hiding] : []));
  const products = useProducts(hiddenProducts.map(({ product }) => product));
  const { data: tags } = useTags('');
  const productsWith = (tag: string): string => {
    const known = tags?.values.find(({ value }) => value === tag);
    return known ? counted(known.products, 'product') : 'no product has this tag now';
  };
  return (
    <>
      <ScreenHead title="Hiding">
        Products hidden from shoppers: not in results, not in counts, not by part number, not pinned.
      </ScreenHead>
      <Section title="By tag" note="Every product with the tag, also those that get it later.">
        {hiddenTags.length === 0 && <Nothing>No tag is hidden.</Nothing>}
        <ul className="space-y-[5px]">
          {hiddenTags.map((hiding) => (
            <li
              key={hiding.tag}
              className={`${shelfRow(changed(hidingKey(hiding)))} flex items-center gap-3 py-1.5 pr-2 pl-3`}
            >
              <Tag size={15} aria-hidden className="text-soft" />
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{hiding.tag}</span>{' '}
                <span className="text-[12.5px] text-soft">{productsWith(hiding.tag)}</span>
              </span>
              <Button tone="quiet" aria-label={`Show products tagged ${hiding.tag} again`} onClick={() => show(hiding)}>
                <Eye size={15} aria-hidden /> Show again
              </Button>
            </li>
          ))}
        </ul>
        <div className="mt-2">
          <TagPicker hidden={new Set(hiddenTags.map(({ tag }) => tag))} />
        </div>
      </Section>
      <Section title="One by one" note="You can also hide a product from the label under it in the shop window.">
        {hiddenProducts.length === 0 && <Nothing>No product is hidden by itself.</Nothing>}
        <ul className="space-y-[5px]">
          {hiddenProducts.map((hiding) => (
            <li
              key={hiding.product}
              className={`${shelfRow(changed(hidingKey(hiding)))} flex items-center gap-3 py-1.5 pr-2 pl-3`}
            >
              <span className="min-w-0 flex-1">
                <ProductLine
                  id={hiding.product}
                  card={products?.get(hiding.product)}
                  isKnown={products !== undefined}
                />
              </span>
              <Button
                tone="quiet"
                aria-label={`Show ${products?.get(hiding.product)?.title ?? hiding.product} again`}
                onClick={() => show(hiding)}
              >
                <Eye size={15} aria-hidden /> Show again
              </Button>
            </li>
          ))}
        </ul>
        <div className="mt-2">
          <ProductPicker
            label="Hide a product"
            chosen={new Set(hiddenProducts.map(({ product }) => product))}
            choose={({ id }) => hide({ what: 'product', product: id })}
          />
        </div>
      </Section>
    </>
  );
}

function TagPicker({ hidden }: { readonly hidden: ReadonlySet<string> }) {
  return (
    <Picker label="Hide a tag" find="Find a tag" placeholder="Type a tag">
      {(typed, close) => <Tags typed={typed} hidden={hidden} close={close} />}
    </Picker>
  );
}

function Tags({
  typed,
  hidden,
  close,
}: {
  readonly typed: string;
  readonly hidden: ReadonlySet<string>;
  close(): void;
}) {
  const { data, error } = useTags(typed);
  return (
    <>
      {error && <p className="p-3 text-wrong">{error.message}</p>}
      {data?.values.length === 0 && <p className="p-3 text-soft">No tag is called that.</p>}
      {data?.values.map(({ value, products }) => (
        <PickerItem
          key={value}
          value={value}
          isChosen={hidden.has(value)}
          choose={() => {
            hide({ what: 'tag', tag: value });
            close();
          }}
        >
          <span className="min-w-0 flex-1 truncate">{value}</span>
          <span className="text-[13px] text-soft">{counted(products, 'product')}</span>
        </PickerItem>
      ))}
    </>
  );
}
