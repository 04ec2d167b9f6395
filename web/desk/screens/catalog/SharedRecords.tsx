import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Section } from '../../parts/Screen.tsx';
import { goTo } from '../../state/place.ts';
import { arrange, useStorefronts } from '../../state/storefronts.ts';

/** Told in place of choosing a file where the records are another storefront's. */
export function SharedRecords({ lender }: { readonly lender: { readonly id: string; readonly name: string } }) {
  const { data } = useStorefronts();
  const draft = data?.storefronts.find(({ id }) => id === lender.id)?.draft;
  return (
    <Section
      title={`Shares the records of ${lender.name}`}
      note={`A file brought into ${lender.name} is read here too, in this storefront’s own way: see How the file is read. Prices and stock of a feed come along where both read them from the same column.`}
    >
      <div className="flex flex-wrap gap-2">
        {draft && (
          <Button onClick={() => void goTo({ storefront: lender.id, draft }, '/catalog/bring-in')}>
            Bring a file into {lender.name}
          </Button>
        )}
        <Button
          tone="quiet"
          onClick={() =>
            void arrange(() => call('shareCatalog', { body: { storefront: null } }), 'The records stay shared')
          }
        >
          Make the records this storefront’s own
        </Button>
      </div>
    </Section>
  );
}
