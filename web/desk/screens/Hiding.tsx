import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Eye, Plus, Tag } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { hidingKey } from '../../../core/setup/hidingKey.ts';
import type { Hiding as HidingEntry } from '../../../core/setup/schema.ts';
import { call } from '../../client/call.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
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
        What shoppers do not find anywhere: not in results, not in counts, not by its part number, not pinned.
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
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const { data, error } = useTags(text.trim());
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3 py-1.5 font-semibold hover:border-edge">
        <Plus size={15} aria-hidden /> Hide a tag
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label="Hide a tag"
          className="z-40 w-[300px] rounded-lg border bg-surface shadow-xl"
        >
          <Command shouldFilter={false} label="Find a tag">
            <Command.Input
              value={text}
              onValueChange={setText}
              placeholder="Type a tag"
              className="w-full border-b bg-transparent px-3 py-2.5 outline-none placeholder:text-soft"
            />
            <Command.List className="max-h-[300px] overflow-auto p-1.5">
              {error && <p className="p-3 text-wrong">{error.message}</p>}
              {data?.values.length === 0 && <p className="p-3 text-soft">No tag is called that.</p>}
              {data?.values.map(({ value, products }) => (
                <Command.Item
                  key={value}
                  value={value}
                  disabled={hidden.has(value)}
                  onSelect={() => {
                    hide({ what: 'tag', tag: value });
                    setOpen(false);
                  }}
                  className="flex items-center justify-between gap-2 rounded px-2 py-1.5 data-[disabled=true]:opacity-50 data-[selected=true]:bg-press-soft"
                >
                  <span className="truncate">{value}</span>
                  <span className="text-[13px] text-soft">{counted(products, 'product')}</span>
                </Command.Item>
              ))}
            </Command.List>
          </Command>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
