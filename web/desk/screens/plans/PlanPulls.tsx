import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from '../../parts/Button.tsx';
import { ProductLine, useProducts } from '../../parts/ProductLine.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { PullAim } from '../../parts/rule/PullAim.tsx';
import { Strength } from '../../parts/rule/Strength.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { withPull } from '../../state/planActs.ts';
import { ConditionPulls } from './PlanConditions.tsx';
import type { OfPlan } from './planPart.ts';

/** Single products and conditions that a plan boosts or lowers; `children` stands below them. */
export function PlanPulls({
  id,
  plan,
  save,
  isChanged,
  children,
}: OfPlan & { readonly id: string; readonly children?: ReactNode }) {
  const of = { plan, save, isChanged };
  const products = useProducts(plan.pulls.map(({ product }) => product));
  const setPull = (product: string, pull: number): void =>
    save({ ...plan, pulls: plan.pulls.map((each) => (each.product === product ? { product, pull } : each)) });
  return (
    <Section title="Boosted and lowered" note="From a nudge to strongly: the strength multiplies the product’s score.">
      <ul className="space-y-[5px]">
        {plan.pulls.map(({ product, pull }) => (
          <li key={product} className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-3`}>
            <div className="flex items-center gap-3">
              <span className="min-w-0 flex-1">
                <ProductLine id={product} card={products?.get(product)} isKnown={products !== undefined} />
              </span>
              <IconButton
                label={`Neither boost nor lower ${products?.get(product)?.title ?? product}`}
                onClick={() => save(withPull(plan, product, 1))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </div>
            <div className="mt-1 pl-[46px]">
              <Strength
                label={`Strength of ${products?.get(product)?.title ?? product}`}
                value={pull}
                change={(next) => setPull(product, next)}
              />
              <PullAim
                pulled={{ of: 'product', plan: id, product }}
                title={products?.get(product)?.title ?? product}
                searches={plan.searches}
                change={(next) => setPull(product, next)}
              />
            </div>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <ProductPicker
          label="Boost a product"
          chosen={new Set(plan.pulls.map(({ product }) => product))}
          choose={({ id: product }) => save(withPull(plan, product, 2))}
        />
        <ProductPicker
          label="Lower a product"
          chosen={new Set(plan.pulls.map(({ product }) => product))}
          choose={({ id: product }) => save(withPull(plan, product, 0.5))}
        />
      </div>
      <ConditionPulls id={id} {...of} />
      {children}
    </Section>
  );
}
