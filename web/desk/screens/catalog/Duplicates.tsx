import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { catalogEndpoints } from '../../../../api/catalogEndpoints.ts';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import { hidingKey } from '../../../../core/setup/hidingKey.ts';
import { call } from '../../../client/call.ts';
import { count, counted, priceRange } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Picture } from '../../parts/ProductLine.tsx';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

type Duplicate = AnswerOf<(typeof catalogEndpoints)['duplicates']>['groups'][number]['products'][number];

/** Groups shown at once. */
const shown = 100;

/** Products that a shopper could hardly tell apart, with what helps to choose which of them to hide. */
export function Duplicates() {
  const { revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'duplicates', revision],
    queryFn: ({ signal }) => call('duplicates', { signal }),
    placeholderData: (before) => before,
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Comparing products" />;
  if (data.groups.length === 0)
    return <Nothing>No two of your {counted(data.looked, 'product')} look the same.</Nothing>;
  return (
    <Section
      title={`Possible duplicates: ${counted(data.groups.length, 'group')}`}
      note="Same words in the title, same brand, almost the same values. Shoppers who find both cannot tell which one they want."
    >
      <ul className="space-y-[5px]">
        {data.groups.slice(0, shown).map(({ products, differs }) => (
          <li key={products[0]?.id} className={`${shelfRow(false)} px-3 py-2`}>
            <ul className="divide-y divide-line">
              {products.map((product) => (
                <Row key={product.id} product={product} />
              ))}
            </ul>
            <p className="mt-1 text-[12.5px] text-soft">
              {differs.length === 0
                ? 'Same values in every attribute; only price, stock and id differ.'
                : `Different only in ${differs.join(', ')}.`}
            </p>
          </li>
        ))}
      </ul>
      {data.groups.length > shown && (
        <p className="mt-2 text-[13px] text-soft">
          The first {count(shown)} of {counted(data.groups.length, 'group')}. Hide some of these to see the next ones.
        </p>
      )}
    </Section>
  );
}

function Row({ product }: { readonly product: Duplicate }) {
  const { setup } = useDeskState();
  const { id, title, picture, variants, lowest, highest, stock, unitsSold, foundBy } = product;
  const { currency } = setup.storefront.shop;
  const hiding = { what: 'product' as const, product: id };
  const isHidden = Object.hasOwn(setup.hiding, hidingKey(hiding));
  const facts = [
    counted(variants, 'variant'),
    priceRange(lowest, highest, currency),
    stock !== null && `${count(stock)} in stock`,
    unitsSold !== null && `${count(unitsSold)} sold`,
  ].filter(Boolean);
  return (
    <li className="flex items-center gap-2.5 py-1.5 first:pt-0">
      <Picture src={picture} />
      <div className="min-w-0 flex-1">
        <Link
          to={`/catalog/products/${encodeURIComponent(id)}`}
          className={`block truncate hover:underline ${isHidden ? 'text-soft line-through' : 'font-semibold'}`}
        >
          {title} <span className="font-normal text-soft">{id}</span>
        </Link>
        <p className="text-[12.5px]">{facts.join(' · ')}</p>
        <p className="text-[12.5px] text-soft">
          {foundBy.searches === 0
            ? 'Not on the first page of a frequent search'
            : `On the first page of ${counted(foundBy.searches, 'frequent search', 'frequent searches')}, such as “${foundBy.example}”`}
        </p>
      </div>
      <Button
        tone="quiet"
        onClick={() => void edit({ part: 'hiding', key: hidingKey(hiding), value: isHidden ? null : hiding })}
      >
        {isHidden ? 'Show again' : 'Hide'}
        <span className="sr-only">
          {' '}
          {title}, {id}
        </span>
      </Button>
    </li>
  );
}
