import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { own } from '../../../../core/base/named.ts';
import { type Companions, noCompanions } from '../../../../core/setup/parts/companions.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Chip } from '../../parts/Chip.tsx';
import { useProducts } from '../../parts/ProductLine.tsx';
import { Loading, LoadProblem, ScreenHead, Section } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useShopWindow } from '../../state/shopWindow.ts';
import { CompanionRows } from './CompanionRows.tsx';

/** What goes with one product and what stands in for it, with its page in the shop window. */
export function ProductCompanions() {
  const { product = '' } = useParams();
  const { setup, revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'companions', product, revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('companions', { query: { product }, signal }),
  });
  const { visit } = useShopWindow.getState();
  useEffect(() => {
    visit({ kind: 'product', id: product });
    return () => visit(null);
  }, [visit, product]);
  const chosen = own(setup.companions, product) ?? noCompanions;
  const cards = useProducts([product, ...chosen.never]);
  const title = cards?.get(product)?.title ?? product;
  const isChanged = useItemChanged('companions', product);
  const save = (change: Partial<Companions>): void => {
    const value = { ...chosen, ...change };
    const isNothing = value.companions.length + value.alternatives.length + value.never.length === 0;
    void edit({ part: 'companions', key: product, value: isNothing ? null : value });
  };
  const { pageCompanions, pageAlternatives } = setup.companionShelves.shown;
  const inList = (of: keyof Companions) => isChanged((entry) => (entry as Companions | null)?.[of] ?? []);
  return (
    <>
      <p className="mb-1 text-[13px]">
        <Link to="/companions">Companions</Link> ›
      </p>
      <ScreenHead
        title={title}
        aside={<Button onClick={() => visit({ kind: 'product', id: product })}>Show its page</Button>}
      >
        {data
          ? [data.kind && `Kind: ${data.kind}.`, `${counted(data.visits, 'visit')} of the log looked at.`]
              .filter(Boolean)
              .join(' ')
          : 'What goes with it, and what stands in for it.'}
      </ScreenHead>
      {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
      {!error && !data && <Loading what="Looking at catalog and log" />}
      <CompanionRows
        list="companions"
        found={data?.companions}
        shows={pageCompanions}
        isChanged={inList('companions')}
        {...{ chosen, save }}
      />
      <CompanionRows
        list="alternatives"
        found={data?.alternatives}
        shows={pageAlternatives}
        isChanged={inList('alternatives')}
        {...{ chosen, save }}
      />
      {chosen.never.length > 0 && (
        <Section title="Never beside it" note="Neither as companions nor as alternatives of this product.">
          <div className="flex flex-wrap gap-1.5">
            {chosen.never.map((id) => {
              const name = cards?.get(id)?.title ?? id;
              return (
                <Chip
                  key={id}
                  takeOff={`Let ${name} show again`}
                  remove={() => save({ never: chosen.never.filter((each) => each !== id) })}
                >
                  {name}
                </Chip>
              );
            })}
          </div>
        </Section>
      )}
    </>
  );
}
