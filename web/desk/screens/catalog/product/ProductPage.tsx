import { useQuery } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { call } from '../../../../client/call.ts';
import { ProductPicture } from '../../../../look/ProductPicture.tsx';
import { counted } from '../../../../look/price.ts';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../../parts/Screen.tsx';
import { useTopSearches } from '../../../state/demand.ts';
import { useTrial } from '../../../state/trial.ts';
import { JoinProduct } from '../Variants.tsx';
import { Places } from './Places.tsx';
import { ValueRows } from './ValueRow.tsx';
import { VariantList } from './VariantList.tsx';

/** Everything known of one product, what was decided about it here, every rule that touches it, and where it stands. */
export function ProductPage() {
  const { id = '' } = useParams();
  const { query, recent } = useTrial();
  const { data: top } = useTopSearches();
  const asked = top?.top.map(({ search }) => search) ?? [];
  const searches = [...new Set([query, ...recent.slice(0, 5), ...asked].filter(Boolean))].slice(0, 30);
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'product', id, searches],
    queryFn: ({ signal }) => call('product', { query: { id, searches }, signal }),
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Reading the product" />;
  const has = (key: string): boolean => data.variants.some(({ values }) => key in values);
  const filled = data.attributes.filter(({ key }) => has(key) && key !== 'availability');
  const empty = data.attributes.filter(({ key, canDecide }) => !has(key) && canDecide);
  const isOne = data.variants.length === 1;
  return (
    <>
      <p className="mb-2">
        <Link to="/catalog/products" className="inline-flex items-center gap-1 text-[13px] text-press hover:underline">
          <ArrowLeft size={14} aria-hidden /> All products
        </Link>
      </p>
      <div className="mb-4 flex items-center gap-3">
        <span className="grid size-16 shrink-0 place-items-center rounded-lg bg-art">
          <ProductPicture src={data.picture} className="h-14" isSmall />
        </span>
        <div className="min-w-0">
          <h2 className="font-display font-semibold text-[19px] leading-tight">{data.title}</h2>
          <p className="text-[13px] text-soft">
            {data.id} · {counted(data.variants.length, 'variant')}
          </p>
        </div>
      </div>
      <Section
        title="Details"
        note="A value typed here is a decision: seen in the draft at once, published with it, and kept through the next import."
      >
        <ValueRows
          product={data}
          attributes={filled.filter(({ ofVariants }) => isOne || !ofVariants)}
          variant={data.variants[0]!}
          owner={null}
        />
        {empty.length > 0 && (
          <details className="mt-2">
            <summary className="cursor-pointer text-[13px] text-press">
              {counted(empty.length, 'attribute')} without a value
            </summary>
            <div className="mt-1.5">
              <ValueRows product={data} attributes={empty} variant={data.variants[0]!} owner={null} />
            </div>
          </details>
        )}
      </Section>
      {!isOne && (
        <Section title="Its variants">
          <VariantList product={data} attributes={filled.filter(({ ofVariants }) => ofVariants)} />
        </Section>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <JoinProduct product={data.id} />
        <Link to={`/companions/${encodeURIComponent(data.id)}`} className="text-[13.5px]">
          What goes with it, and what stands in for it
        </Link>
      </div>
      <Section title="Rules that affect this product">
        {data.rules.length === 0 ? (
          <Nothing>No rule changes this product’s position.</Nothing>
        ) : (
          <ul className="space-y-[5px]">
            {data.rules.map(({ text, plan, rule, isInForce }) => (
              <li key={text} className={`${shelfRow(false)} px-3 py-1.5 ${isInForce ? '' : 'text-soft'}`}>
                {(plan ?? rule) ? (
                  <Link
                    to={plan ? `/plans/${encodeURIComponent(plan)}` : `/house-rules/${encodeURIComponent(rule!)}`}
                    className="text-press hover:underline"
                  >
                    {text}
                  </Link>
                ) : (
                  text
                )}
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Section
        title="Where it stands"
        note="For the trial search, and for the searches asked most that find it, under the draft."
      >
        <Places searches={data.searches} />
      </Section>
    </>
  );
}
