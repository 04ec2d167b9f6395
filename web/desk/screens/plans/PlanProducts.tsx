import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { most } from '../../../../core/setup/terms/limits.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Switch } from '../../parts/Controls.tsx';
import { OrderedProducts } from '../../parts/OrderedProducts.tsx';
import { ProductLine, useProducts } from '../../parts/ProductLine.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { type OfPlan, unlessEmpty } from './planPart.ts';

/** Products that stand first, in their order, and whether nothing else shows. */
export function FirstProducts({ plan, save, isChanged }: OfPlan) {
  const first = plan.first ?? [];
  const set = (list: readonly string[]): void =>
    save({ ...plan, first: unlessEmpty(list), only: list.length > 0 ? plan.only : undefined });
  return (
    <Section
      title="First, in this order"
      note="Before everything that is ordered by score, even where the words do not find it."
      aside={
        first.length > 0 && (
          <Switch
            label="Only these show"
            shown="Only these show"
            isOn={plan.only ?? false}
            change={(only) => save({ ...plan, only: only || undefined })}
          />
        )
      }
    >
      <OrderedProducts
        label="Products that stand first"
        add="Put a product first"
        takeOut={(title) => `No longer put ${title} first`}
        ids={first}
        most={most.first}
        isChanged={isChanged}
        change={set}
      />
    </Section>
  );
}

/** Products that a plan names without a place: brought in, or hidden. */
export function NamedProducts({
  products: ids,
  isChanged,
  takeOff,
  change,
  children,
}: {
  readonly products: readonly string[];
  readonly isChanged: boolean;
  /** What taking one off does, for screen readers. */
  takeOff(title: string): string;
  change(ids: readonly string[]): void;
  readonly children?: ReactNode;
}) {
  const products = useProducts(ids);
  return (
    <>
      <ul className="space-y-[5px]">
        {ids.map((id) => (
          <li key={id} className={`${shelfRow(isChanged)} flex items-center gap-3 py-1.5 pr-2 pl-3`}>
            <span className="min-w-0 flex-1">
              <ProductLine id={id} card={products?.get(id)} isKnown={products !== undefined} />
            </span>
            <IconButton
              label={takeOff(products?.get(id)?.title ?? id)}
              onClick={() => change(ids.filter((product) => product !== id))}
            >
              <X size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      {children}
    </>
  );
}

export function BroughtIn({ plan, save, isChanged }: OfPlan) {
  const bringIn = plan.bringIn ?? [];
  const set = (list: readonly string[]): void => save({ ...plan, bringIn: unlessEmpty(list) });
  return (
    <Section
      title="Brought in"
      note="Shown though none of its words match, and ordered as if its title had been searched for."
    >
      <NamedProducts
        products={bringIn}
        isChanged={isChanged}
        takeOff={(title) => `No longer bring in ${title}`}
        change={set}
      >
        <div className="mt-2">
          <ProductPicker
            label="Bring in a product"
            chosen={new Set(bringIn)}
            choose={({ id }) => set([...bringIn, id])}
          />
        </div>
      </NamedProducts>
    </Section>
  );
}
