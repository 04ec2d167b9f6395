import { useState } from 'react';
import type { Begin, Leads } from '../../../../core/setup/parts/resultsPage.ts';
import {
  emptySearches,
  emptySearchNames,
  type Lead,
  leads as leadKinds,
  leadNames,
  mostLeading,
} from '../../../../core/setup/terms/beginTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { OrderedProducts } from '../../parts/OrderedProducts.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

/** What stands before anything is searched for, what leads it, and what an empty search does. */
export function BeforeSearch() {
  const { setup } = useDeskState();
  const { begin } = setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'begin');
  const save = (change: Partial<Begin>): void => {
    const { leads, ...others } = { ...begin, ...change };
    void edit({ part: 'resultsPage', key: 'begin', value: leads ? { ...others, leads } : others });
  };
  const { orders } = setup.relevance.sorting;
  const options = orders.map(({ key, label, signals }) => [signals.length === 0 ? '' : key, label] as const);
  // An order that was taken out of the menu since stays to be seen until another is chosen.
  const isGone = !options.some(([key]) => key === begin.order);
  return (
    <Section
      title="Before any search"
      note="On the page of everything; collections and the search box have an order of their own."
    >
      <div
        className={`${shelfRow(isChanged((entry) => entry))} flex flex-wrap items-center gap-x-5 gap-y-2 px-3 py-2 text-[13px]`}
      >
        <LeadChoice leads={begin.leads} save={(leads) => save({ leads })} />
        {begin.leads?.what !== 'shuffle' && (
          <span>
            {begin.leads ? 'The others stand by' : 'Products stand by'}{' '}
            <Choice
              label="Order before any search"
              value={begin.order}
              options={isGone ? [...options, [begin.order, `${begin.order}, no longer in the menu`] as const] : options}
              change={(order) => save({ order })}
            />
          </span>
        )}
        <span>
          A search without words{' '}
          <Choice
            label="What a search without words does"
            value={begin.emptySearch}
            options={emptySearches.map((each) => [each, emptySearchNames[each]] as const)}
            change={(emptySearch) => save({ emptySearch })}
          />
        </span>
      </div>
      {begin.leads?.what === 'products' && (
        <div className="mt-2">
          <OrderedProducts
            label="Products that stand first before any search"
            add="Choose a product"
            takeOut={(name) => `Take ${name} out`}
            ids={begin.leads.products}
            most={mostLeading}
            isChanged={isChanged((entry) => (entry as Begin | null)?.leads)}
            change={(products) =>
              save({ leads: products.length === 0 ? undefined : { what: 'products', products: [...products] } })
            }
          />
        </div>
      )}
    </Section>
  );
}

/** What stands first; what it needs to be said besides is asked for as soon as it is chosen. */
function LeadChoice({ leads, save }: { readonly leads: Leads | undefined; save(leads: Leads | undefined): void }) {
  const [asked, ask] = useState<Lead | ''>('');
  const kind = leads?.what ?? asked;
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2 gap-y-1.5">
      First stands{' '}
      <Choice<Lead | ''>
        label="What stands first before any search"
        value={kind}
        options={[['', 'nothing in particular'], ...leadKinds.map((each) => [each, leadNames[each]] as const)]}
        change={(next) => {
          ask(next);
          if (next === 'shuffle') save({ what: 'shuffle' });
          else if (leads) save(undefined);
        }}
      />
      {kind === 'search' && (
        <TextField
          label="The search whose products stand first"
          placeholder="A search"
          className="w-[170px]"
          value={leads?.what === 'search' ? leads.search : ''}
          maxLength={longest.search}
          mayBeEmpty={leads?.what !== 'search'}
          change={(search) => search.trim() !== '' && save({ what: 'search', search: search.trim() })}
        />
      )}
      {kind === 'collection' && (
        <CollectionChips
          label="Choose a collection"
          most={1}
          chosen={leads?.what === 'collection' ? [leads.collection] : []}
          change={([collection]) => save(collection === undefined ? undefined : { what: 'collection', collection })}
        />
      )}
      {kind === 'products' && leads === undefined && (
        <ProductPicker
          label="Choose the first product"
          isSmall
          chosen={new Set()}
          choose={({ id }) => save({ what: 'products', products: [id] })}
        />
      )}
    </span>
  );
}
