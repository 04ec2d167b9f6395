import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Card } from '../../../core/answer/answer.ts';
import { call } from '../../client/call.ts';
import { ProductPicture } from '../../look/ProductPicture.tsx';
import { counted } from '../../look/price.ts';

export function Picture({ src }: { readonly src: string | null }) {
  return (
    <span className="grid size-9 shrink-0 place-items-center rounded bg-art">
      <ProductPicture src={src} className="h-8" isSmall />
    </span>
  );
}

/** Cards of products by id, for lists that name products; one that is gone is missing from the map. */
export function useProducts(ids: readonly string[]): ReadonlyMap<string, Card> | undefined {
  const sorted = [...new Set(ids)].sort();
  const { data } = useQuery({
    queryKey: ['desk', 'products', sorted],
    enabled: sorted.length > 0,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('products', { query: { id: sorted }, signal }),
  });
  if (sorted.length === 0) return new Map();
  return data && new Map(data.products.map((card) => [card.familyId, card]));
}

/** A product in a list of the desk: picture, title, maker; told apart where it has left the catalog. */
export function ProductLine({
  id,
  card,
  isKnown,
}: {
  readonly id: string;
  readonly card: Card | undefined;
  readonly isKnown: boolean;
}) {
  return (
    <span className="flex min-w-0 items-center gap-2.5">
      <Picture src={card?.picture ?? null} />
      <span className="min-w-0">
        <span className="block truncate font-semibold">{card?.title ?? id}</span>
        <span className="block truncate text-[12.5px] text-soft">
          {card
            ? [card.brand, counted(card.variants, 'variant')].filter(Boolean).join(' · ')
            : isKnown
              ? 'No longer in the catalog; kept in case it comes back'
              : '…'}
        </span>
      </span>
    </span>
  );
}
