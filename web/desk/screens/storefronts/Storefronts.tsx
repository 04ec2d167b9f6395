import { ExternalLink } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { longestName } from '../../../../api/limits.ts';
import type { StorefrontRow } from '../../../../api/storefrontEndpoints.ts';
import { call } from '../../../client/call.ts';
import { ago, dayAndTime } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { ListScreen } from '../../parts/ListScreen.tsx';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { goTo, usePlace } from '../../state/place.ts';
import { arrange, useStorefronts } from '../../state/storefronts.ts';
import { Following } from './Following.tsx';
import { MakeStorefront } from './MakeStorefront.tsx';
import { RemoveStorefront } from './RemoveStorefront.tsx';
import { storefrontPages } from './storefrontPages.ts';

/** The shops one desk is for. */
export function Storefronts() {
  const query = useStorefronts();
  return (
    <ListScreen
      title="Storefronts"
      intro="One desk for more than one shop. Each has drafts, releases and shoppers of its own; what is done in one shows in another only where that one shares its records or follows it."
      query={query}
      loading="Reading the storefronts"
      tabs={<PageTabs label="Storefronts" pages={storefrontPages} />}
      make={{
        label: 'Make a storefront',
        parameter: 'make',
        form: ({ storefronts }, close) => <MakeStorefront storefronts={storefronts} close={close} />,
      }}
      list={({ storefronts }) =>
        storefronts.map((storefront) => (
          <Storefront
            key={storefront.id}
            storefront={storefront}
            isOnly={storefronts.length === 1}
            lender={storefronts.find(({ id }) => id === storefront.shares)?.name ?? null}
          />
        ))
      }
    >
      <Following />
    </ListScreen>
  );
}

/** Closes a storefront, or opens it again, with a way back in the message. */
async function close({ id, name }: StorefrontRow, archived: boolean): Promise<void> {
  const done = await arrange(
    () => call('archiveStorefront', { body: { id, archived } }),
    archived ? 'It was not closed' : 'It was not opened',
  );
  if (done)
    toast(archived ? `${name} is closed` : `${name} is open`, {
      description: archived ? 'Its shoppers are told so. Nothing of it is lost.' : 'Its shoppers find it again.',
    });
}

function Storefront({
  storefront,
  isOnly,
  lender,
}: {
  readonly storefront: StorefrontRow;
  readonly isOnly: boolean;
  /** What the storefront whose records it shares is called. */
  readonly lender: string | null;
}) {
  const { storefront: here } = usePlace();
  const { id, name, shop, madeAt, archivedAt, families, release, drafts, follows } = storefront;
  const isHere = id === here;
  const [isNaming, setNaming] = useState(false);
  return (
    <li className={`${shelfRow(false)} px-3 py-2.5`}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {isNaming ? (
          <TextField
            label={`What ${name} is called here`}
            className="min-w-0 flex-1 font-semibold"
            maxLength={longestName}
            value={name}
            change={(to) =>
              void arrange(() => call('nameStorefront', { body: { id, name: to } }), 'It was not renamed')
            }
          />
        ) : (
          <span className="min-w-0 truncate font-semibold">{name}</span>
        )}
        {isHere && (
          <span className="rounded bg-press-soft px-2 py-0.5 font-semibold text-[12.5px] text-press">
            you are in it
          </span>
        )}
        {archivedAt && (
          <span className="rounded bg-changed-soft px-2 py-0.5 font-semibold text-[12.5px] text-on-changed">
            closed {ago(new Date(archivedAt))}
          </span>
        )}
        <span className="ml-auto text-[12.5px] text-soft" title={dayAndTime(new Date(madeAt))}>
          made {ago(new Date(madeAt))}
        </span>
      </div>
      <p className="mt-0.5 text-[13px] text-soft">
        {shop ? `“${shop.name}” in ${shop.currency}` : 'not published yet'},{' '}
        {families === 0 ? 'no catalog yet' : counted(families, 'product')},{' '}
        {lender && `sharing the records of ${lender}, `}
        {follows.length > 0 && `following in ${counted(follows.length, 'part')}, `}
        {release === null ? 'nothing live' : `release ${release} live`}, {counted(drafts, 'draft')}
      </p>
      <div className="mt-1.5 -ml-2 flex flex-wrap items-center gap-x-1">
        {!isHere && (
          <Button
            tone="quiet"
            className="px-2 py-1"
            onClick={() => void goTo({ storefront: id, draft: storefront.draft }, '/attributes')}
          >
            Work in it
          </Button>
        )}
        <a
          href={`/shop/${id}`}
          target="_blank"
          rel="noreferrer"
          className="inline-flex items-center gap-1 rounded-lg px-2 py-1 font-semibold text-press hover:bg-press-soft"
        >
          Its shop
          <ExternalLink size={13} aria-hidden />
          <span className="sr-only"> {name}, in a new tab</span>
        </a>
        <Button tone="quiet" className="px-2 py-1" aria-expanded={isNaming} onClick={() => setNaming(!isNaming)}>
          {isNaming ? 'Done' : 'Rename'}
          <span className="sr-only"> {name}</span>
        </Button>
        {!isOnly && (
          <Button tone="quiet" className="px-2 py-1" onClick={() => void close(storefront, archivedAt === null)}>
            {archivedAt ? 'Open again' : 'Close'}
            <span className="sr-only"> {name}</span>
          </Button>
        )}
        {!isHere && <RemoveStorefront storefront={storefront} />}
      </div>
    </li>
  );
}
