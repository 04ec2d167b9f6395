import { useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../../client/call.ts';
import { dayAndTime } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { takeJob, useCatalog } from '../../state/catalog.ts';

/** The catalogs before the live one, each of which can be put back in one step. */
export function EarlierCatalogs({ isBusy }: { readonly isBusy: boolean }) {
  const { data } = useCatalog();
  const [puttingBack, setPuttingBack] = useState<number | null>(null);
  const earlier = data?.earlier ?? [];
  if (earlier.length === 0) return null;
  const putBack = async (generation: number, file: string): Promise<void> => {
    setPuttingBack(generation);
    try {
      takeJob(await call('putBackCatalog', { body: { generation } }));
      toast.success(`${file} is live again`, {
        description: 'Prices and stock from feeds are up to date. The catalog it replaced is kept in the list.',
      });
    } catch (error) {
      toast.error('The catalog was not put back', { description: (error as Error).message });
    }
    setPuttingBack(null);
  };
  return (
    <Section
      title="Earlier catalogs"
      note="The last ones are kept. Putting one back takes effect for shoppers at once."
    >
      <ul className="space-y-[5px]">
        {earlier.map(({ generation, file, importedAt, records, families }) => (
          <li key={generation} className={`${shelfRow(false)} flex items-center gap-3 px-3 py-2`}>
            <span className="min-w-0 flex-1">
              <b className="block truncate font-semibold">{file}</b>
              <span className="text-[13px] text-soft">
                Imported {dayAndTime(importedAt)}: {counted(families, 'product')} in {counted(records, 'variant')}
              </span>
            </span>
            <Button disabled={isBusy || puttingBack !== null} onClick={() => void putBack(generation, file)}>
              {puttingBack === generation ? 'Putting back …' : 'Put back'}
            </Button>
          </li>
        ))}
      </ul>
    </Section>
  );
}
