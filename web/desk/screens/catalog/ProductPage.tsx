import { useQuery } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import { Link, useParams } from 'react-router';
import type { z } from 'zod';
import type { productEndpoints } from '../../../../api/productEndpoints.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { call } from '../../../client/call.ts';
import { ProductPicture } from '../../../look/ProductPicture.tsx';
import { count, counted } from '../../../look/price.ts';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { setAttributeByKey } from '../../state/attributes.ts';
import { useDemand } from '../../state/demand.ts';
import { act, edit } from '../../state/edits.ts';
import { useTrial } from '../../state/trial.ts';
import { JoinProduct, SplitOff } from './Variants.tsx';

type Product = z.infer<(typeof productEndpoints)['product']['answer']>;
type Attribute = Product['attributes'][number];
type Variant = Product['variants'][number];

/** Everything known of one product, what was decided about it here, every rule that touches it, and where it stands. */
export function ProductPage() {
  const { id = '' } = useParams();
  const { query, recent } = useTrial();
  const { data: demand } = useDemand(40);
  const asked = demand?.top.map(({ search }) => search) ?? [];
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
        <ul className="space-y-[5px]">
          {filled
            .filter(({ ofVariants }) => isOne || !ofVariants)
            .map((attribute) => (
              <ValueRow
                key={attribute.key}
                product={data}
                attribute={attribute}
                variant={data.variants[0]!}
                owner={null}
              />
            ))}
        </ul>
        {empty.length > 0 && (
          <details className="mt-2">
            <summary className="cursor-pointer text-[13px] text-press">
              {counted(empty.length, 'attribute')} without a value
            </summary>
            <ul className="mt-1.5 space-y-[5px]">
              {empty.map((attribute) => (
                <ValueRow
                  key={attribute.key}
                  product={data}
                  attribute={attribute}
                  variant={data.variants[0]!}
                  owner={null}
                />
              ))}
            </ul>
          </details>
        )}
      </Section>
      {!isOne && (
        <Section title="Its variants">
          {data.variants.map((variant) => (
            <details key={variant.id} className={`${shelfRow(false)} mb-[5px] px-3 py-1.5`}>
              <summary className="cursor-pointer">
                <span className="font-semibold">{variant.sku || variant.id}</span>{' '}
                <span className="text-[13px] text-soft">
                  {filled
                    .filter(({ ofVariants, key }) => ofVariants && key !== 'picture' && key !== 'link')
                    .map(({ key }) => variant.values[key]?.text)
                    .filter(Boolean)
                    .slice(0, 5)
                    .join(' · ')}
                </span>
              </summary>
              <ul className="mt-1.5 space-y-[5px]">
                {filled
                  .filter(({ ofVariants }) => ofVariants)
                  .map((attribute) => (
                    <ValueRow
                      key={attribute.key}
                      product={data}
                      attribute={attribute}
                      variant={variant}
                      owner={variant.id}
                    />
                  ))}
              </ul>
              <SplitOff variant={variant.id} product={data.id} label={variant.sku || variant.id} />
            </details>
          ))}
        </Section>
      )}
      <p className="mt-3">
        <JoinProduct product={data.id} />
      </p>
      <Section title="Rules that affect this product">
        {data.rules.length === 0 ? (
          <Nothing>No rule changes this product’s position.</Nothing>
        ) : (
          <ul className="space-y-[5px]">
            {data.rules.map(({ told, plan }) => (
              <li key={told} className={`${shelfRow(false)} px-3 py-1.5`}>
                {plan ? (
                  <Link to={`/plans/${encodeURIComponent(plan)}`} className="text-press hover:underline">
                    {told}
                  </Link>
                ) : (
                  told
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
        <Standing searches={data.searches} />
      </Section>
    </>
  );
}

function Standing({ searches }: { readonly searches: Product['searches'] }) {
  const search = useTrial((state) => state.search);
  if (searches.length === 0) return <Nothing>Try a search in the top bar to see where it stands.</Nothing>;
  const found = searches.filter(({ place }, index) => place !== null || index === 0);
  return (
    <ul className="space-y-[5px]">
      {found.length === 0 && <Nothing>No frequent search finds it.</Nothing>}
      {found.map(({ query, place, of }) => (
        <li key={query} className={`${shelfRow(false)} flex items-baseline gap-3 px-3 py-1.5`}>
          <button
            type="button"
            className="min-w-0 flex-1 truncate text-left text-press hover:underline"
            onClick={() => search(query)}
          >
            {query}
          </button>
          <span className="text-[13px] text-soft">
            {place === null ? `not found among ${count(of)}` : `place ${count(place)} of ${count(of)}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** One attribute's value: where it comes from, what the other source says, and which of the two wins. */
function ValueRow({
  product,
  attribute,
  variant,
  owner,
}: {
  readonly product: Product;
  readonly attribute: Attribute;
  readonly variant: Variant;
  readonly owner: string | null;
}) {
  const { key, label, canDecide, wins } = attribute;
  const value = variant.values[key];
  const decision = product.decisions.find(
    ({ decision: each }) => each.attribute === key && (each.variant === owner || each.variant === null),
  );
  const take = (text: string): void => {
    void act(
      (revision) =>
        call('editCells', {
          body: { revision, cells: [{ product: product.id, variant: owner, attribute: key, text }] },
        }),
      (state) => state,
    );
  };
  return (
    <li className={`${shelfRow(decision !== undefined)} px-3 py-1.5`}>
      <div className="flex items-center gap-3">
        <span className="w-[116px] shrink-0 truncate text-[13px] text-soft" title={label}>
          {label}
        </span>
        {canDecide ? (
          <TextField
            label={label}
            value={value?.text ?? ''}
            mayBeEmpty={key !== 'title'}
            maxLength={longest.decidedText}
            className="min-w-0 flex-1"
            change={take}
          />
        ) : (
          <span className="min-w-0 flex-1 truncate">{value?.text.replaceAll('|', ', ')}</span>
        )}
      </div>
      {decision && (
        <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 pl-[128px] text-[12.5px] text-soft">
          <span>
            {value?.from === 'here' ? 'Set here' : 'Set here, but the file wins'}; the file says{' '}
            {value?.fact ? `“${value.fact.slice(0, 80)}”` : 'nothing'}.
          </span>
          {value?.contested && (
            <Choice
              label={`Which ${label} counts where both have one`}
              value={wins}
              options={[
                ['here', 'Keep my value, in every product'],
                ['file', 'Use the file’s value, in every product'],
              ]}
              change={(next) => setAttributeByKey(key, { wins: next === 'file' ? 'file' : undefined })}
            />
          )}
          <button
            type="button"
            className="font-semibold text-press hover:underline"
            onClick={() => void edit({ part: 'products', key: decision.key, value: null })}
          >
            Discard my value
          </button>
        </div>
      )}
    </li>
  );
}
