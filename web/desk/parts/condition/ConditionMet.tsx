import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { useDeskState } from '../../state/deskState.ts';
import { Picture } from '../ProductLine.tsx';

/** How many products meet a condition, as it stands while it is built. */
export function ConditionMet({ condition }: { readonly condition: Condition | null }) {
  const { revision } = useDeskState();
  const { data, error } = useQuery({
    queryKey: ['desk', 'conditionMet', revision, condition],
    enabled: condition !== null,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('conditionMet', { body: { condition: condition! }, signal }),
  });
  if (!condition)
    return <p className="mt-2 text-[13px] text-soft">Complete the test to see which products it is about.</p>;
  if (error) return <p className="mt-2 text-[13px] text-wrong">{error.message}</p>;
  if (!data) return <p className="mt-2 text-[13px] text-soft">Counting …</p>;
  const { products, ofProducts, variants, examples } = data;
  return (
    <div className="mt-2 text-[13px]">
      <p role="status">
        <b className="font-semibold">{products === 0 ? 'No product' : counted(products, 'product')}</b> of{' '}
        {count(ofProducts)} {products === 1 ? 'meets' : 'meet'} this now
        {variants > products && <span className="text-soft"> ({counted(variants, 'variant')})</span>}.
      </p>
      {examples.length > 0 && (
        <ul className="mt-1.5 flex flex-wrap gap-x-4 gap-y-1" aria-label="Some of them">
          {examples.map((card) => (
            <li key={card.familyId} className="flex max-w-[200px] items-center gap-1.5">
              <Picture src={card.picture} />
              <span className="min-w-0 truncate">{card.title}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
