import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Search } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import type { Result } from '../../core/answer/answer.ts';
import { longestQuery } from '../../core/query/readUnits.ts';
import { call } from '../client/call.ts';
import { isPreview } from '../client/place.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { counted, price } from '../look/price.ts';
import { openedBesides } from './shopperLog.ts';
import type { DeskView } from './useDesk.ts';

const shown = 5;
/** A pause in typing after which products are asked for, in milliseconds. */
const pause = 120;

/** The text once the hand has paused. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), pause);
    return () => clearTimeout(timer);
  }, [text]);
  return settled;
}

/** The products that come into the box while the shopper types. */
function useBoxProducts(text: string, isOpen: boolean, desk: DeskView | null, isInDesk: boolean) {
  const sought = useSettled(text.trim());
  const { data } = useQuery({
    queryKey: ['box', sought, desk?.from ?? 'shop', desk?.turn ?? 0, desk?.at ?? ''],
    enabled: isOpen && sought.length >= 2 && (!isInDesk || desk !== null),
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => {
      const query = { q: sought, typing: '1', box: '1', limit: String(shown) } as const;
      return desk
        ? call('deskSearch', { query: { ...query, from: desk.from, ...(desk.at && { at: desk.at }) }, signal })
        : call(isPreview() ? 'previewSearch' : 'shopSearch', { query, signal });
    },
  });
  return sought.length >= 2 && data ? data : null;
}

/** The shop's search box: products come while the shopper types; the arrows go to them, enter searches. */
export function SearchBox({
  query,
  search,
  open,
  desk,
  isInDesk,
}: {
  readonly query: string;
  search(query: string): void;
  open(product: Result): void;
  readonly desk: DeskView | null;
  readonly isInDesk: boolean;
}) {
  const [text, setText] = useState(query);
  const [isOpen, setOpen] = useState(false);
  const [active, setActive] = useState(-1);
  const id = useId();
  useEffect(() => setText(query), [query]);
  const found = useBoxProducts(text, isOpen, desk, isInDesk);
  const results = (isOpen && found?.results) || [];
  const close = (): void => {
    setOpen(false);
    setActive(-1);
  };
  const choose = (product: Result): void => {
    close();
    open(product);
    openedBesides(product.familyId);
  };
  return (
    <search className="relative min-w-0 flex-1">
      <form
        className="flex items-center gap-2 rounded-full border border-line bg-paper px-3.5 py-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          const product = results[active];
          if (product) choose(product);
          else {
            close();
            search(text);
          }
        }}
      >
        <input
          type="search"
          role="combobox"
          aria-label="Search the shop"
          aria-expanded={results.length > 0}
          aria-controls={`${id}-list`}
          aria-autocomplete="list"
          aria-activedescendant={active >= 0 ? `${id}-${active}` : undefined}
          placeholder="Search the shop"
          autoComplete="off"
          className="min-w-0 flex-1 bg-transparent outline-offset-4 placeholder:text-soft"
          maxLength={longestQuery}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setOpen(true);
            setActive(-1);
          }}
          onBlur={close}
          onKeyDown={(event) => {
            if (event.key === 'Escape' && results.length > 0) {
              event.preventDefault();
              close();
            }
            const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
            if (step === 0 || results.length === 0) return;
            event.preventDefault();
            // One place beyond the list is the box itself.
            setActive(((active + 1 + step + results.length + 1) % (results.length + 1)) - 1);
          }}
        />
        <button type="submit" aria-label="Search" className="text-soft hover:text-ink">
          <Search size={17} aria-hidden />
        </button>
      </form>
      <div
        id={`${id}-list`}
        role="listbox"
        aria-label="Products that match so far"
        hidden={results.length === 0}
        className="absolute inset-x-0 top-full z-30 mt-1.5 max-w-[620px] rounded-xl border border-line bg-surface p-1.5 shadow-xl"
      >
        {results.map((product, place) => (
          // biome-ignore lint/a11y/useFocusableInteractive: the box keeps the focus and names the option
          // biome-ignore lint/a11y/useKeyWithClickEvents: the box has the keys
          <div
            key={product.familyId}
            id={`${id}-${place}`}
            role="option"
            aria-selected={place === active}
            className={`flex cursor-default items-center gap-3 rounded-lg px-2 py-1.5 ${place === active ? 'bg-press-soft' : 'hover:bg-paper'}`}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => choose(product)}
          >
            {product.showsPicture && (
              <span className="grid size-9 shrink-0 place-items-center rounded bg-art">
                <ProductPicture src={product.picture} className="h-8" isSmall />
              </span>
            )}
            <span className="min-w-0 flex-1">
              <span className="block truncate font-shop">{product.title}</span>
              <span className="block truncate text-[12.5px] text-soft">
                {[product.brand, product.available ? null : 'sold out'].filter(Boolean).join(', ')}
              </span>
            </span>
            {product.price !== null && (
              <b className="shrink-0 text-[13.5px]">{price(product.price, product.currency)}</b>
            )}
          </div>
        ))}
        {found && found.total > shown && (
          <p className="px-2 pt-1.5 pb-1 text-[12.5px] text-soft">Enter shows all {counted(found.total, 'product')}.</p>
        )}
      </div>
    </search>
  );
}
