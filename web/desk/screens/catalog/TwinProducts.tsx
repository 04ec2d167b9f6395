import { useQuery } from '@tanstack/react-query';
import { hidingKey } from '../../../../core/setup/hidingKey.ts';
import { call } from '../../../client/call.ts';
import { count, counted, price } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Picture } from '../../parts/ProductLine.tsx';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

/** Products that a shopper could not tell apart, each with the way to hide one of them. */
export function TwinProducts() {
  const { setup } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'twins'],
    queryFn: ({ signal }) => call('twins', { signal }),
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Looking for twins" />;
  if (data.twins.length === 0)
    return <Nothing>None of your {counted(data.looked, 'product')} looks like another one.</Nothing>;
  return (
    <Section
      title={`${count(data.twins.length)} groups of products that look the same`}
      note="They are for sale, have the same words in their titles and the same brand, and differ in almost nothing. Shoppers who find both wonder which is right."
    >
      <ul className="space-y-[5px]">
        {data.twins.map(({ products, differs }) => (
          <li key={products[0]?.id} className={`${shelfRow(false)} px-3 py-2`}>
            <ul className="space-y-1">
              {products.map(({ id, title, picture, price: amount }) => {
                const hiding = { what: 'product' as const, product: id };
                const isHidden = Object.hasOwn(setup.hiding, hidingKey(hiding));
                return (
                  <li key={id} className="flex items-center gap-2.5">
                    <Picture src={picture} />
                    <span
                      className={`min-w-0 flex-1 truncate ${isHidden ? 'text-soft line-through' : 'font-semibold'}`}
                    >
                      {title} <span className="font-normal text-soft">{id}</span>
                    </span>
                    {amount !== null && (
                      <span className="text-[13px] text-soft">{price(amount, setup.storefront.shop.currency)}</span>
                    )}
                    <Button
                      tone="quiet"
                      onClick={() =>
                        void edit({ part: 'hiding', key: hidingKey(hiding), value: isHidden ? null : hiding })
                      }
                    >
                      {isHidden ? 'Show again' : 'Hide'}
                      <span className="sr-only">
                        {' '}
                        {title}, {id}
                      </span>
                    </Button>
                  </li>
                );
              })}
            </ul>
            <p className="mt-1 text-[12.5px] text-soft">
              {differs.length === 0 ? 'They differ in no attribute.' : `They differ only in: ${differs.join(', ')}.`}
            </p>
          </li>
        ))}
      </ul>
    </Section>
  );
}
