import { useQuery } from '@tanstack/react-query';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ShopKeyRow } from '../../../../api/shopKeyEndpoints.ts';
import { call } from '../../../client/call.ts';
import { dayAndTime } from '../../../look/dates.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, Switch } from '../../parts/Controls.tsx';
import { copyText } from '../../parts/copyText.ts';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { usePlace } from '../../state/place.ts';
import { arrange } from '../../state/storefronts.ts';
import { KeyForm } from './KeyForm.tsx';
import { type Placing, placings, snippetFor } from './snippets.ts';
import { storefrontPages } from './storefrontPages.ts';

const useShopKeys = () =>
  useQuery({ queryKey: ['desk', 'shop-keys'], queryFn: ({ signal }) => call('shopKeys', { signal }) });

/** Putting a storefront's search into the shop's own pages: keys, what is copied there, and a switch to pause it. */
export function Embedding() {
  const { data, error, refetch } = useShopKeys();
  return (
    <>
      <ScreenHead title="Into your shop">
        The search of this storefront within the pages of your own shop. What is said here holds at once, and is no part
        of a draft.
      </ScreenHead>
      <PageTabs label="Storefronts" pages={storefrontPages} />
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what="Reading the keys" />
      ) : (
        <>
          <Keys keys={data.keys} />
          {data.keys.length > 0 && <Snippet keys={data.keys} />}
          <Pause since={data.pausedAt} />
          <ForDevelopers />
        </>
      )}
    </>
  );
}

function Keys({ keys }: { readonly keys: readonly ShopKeyRow[] }) {
  const [isMaking, setMaking] = useState(false);
  return (
    <Section
      title="Keys"
      note="A page shows the search by a key that is made for its site. A key is no secret: it reads what shoppers may, and nothing else."
      aside={
        !isMaking &&
        keys.length > 0 && (
          <Button className="py-1" onClick={() => setMaking(true)}>
            Make a key
          </Button>
        )
      }
    >
      {isMaking && (
        <KeyForm
          close={() => setMaking(false)}
          save={(terms) => arrange(() => call('makeShopKey', { body: terms }), 'No key was made')}
        />
      )}
      {keys.length === 0 && !isMaking && (
        <Nothing>
          No page of another site shows this search yet.{' '}
          <Button tone="quiet" onClick={() => setMaking(true)}>
            Make a key
          </Button>
        </Nothing>
      )}
      <ul aria-label="Keys" className="space-y-[5px]">
        {keys.map((key) => (
          <Key key={key.key} row={key} />
        ))}
      </ul>
    </Section>
  );
}

/** Ends a key, with a way back in the message. */
async function withdraw({ key, name }: ShopKeyRow, withdrawn: boolean): Promise<void> {
  const done = await arrange(
    () => call('withdrawShopKey', { body: { key, withdrawn } }),
    withdrawn ? 'The key was not withdrawn' : 'The key does not hold again',
  );
  if (!done) return;
  toast(withdrawn ? `“${name}” is withdrawn` : `“${name}” holds again`, {
    description: withdrawn
      ? 'Pages with it show their own search from the next question on.'
      : 'Pages with it show this search again.',
    ...(withdrawn && { action: { label: 'Undo', onClick: () => void withdraw({ key, name } as ShopKeyRow, false) } }),
  });
}

function Key({ row }: { readonly row: ShopKeyRow }) {
  const { key, name, origins, perMinute, who, madeAt } = row;
  /** As it was when it was opened to be changed; somebody else may change it meanwhile. */
  const [was, setWas] = useState<ShopKeyRow | null>(null);
  if (was)
    return (
      <li>
        <KeyForm
          row={was}
          close={() => setWas(null)}
          save={(terms) => {
            const seen = { name: was.name, origins: was.origins, perMinute: was.perMinute };
            return arrange(
              () => call('changeShopKey', { body: { key, ...terms, was: seen } }),
              'The key was not changed',
            );
          }}
        />
      </li>
    );
  return (
    <li className={`${shelfRow(false)} px-3 py-2.5`}>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <b className="min-w-0 flex-1 break-words font-semibold">{name}</b>
        <code className="break-all text-[12.5px]">{key}</code>
        <Button tone="quiet" className="px-2 py-0.5" onClick={() => setWas(row)}>
          Change
        </Button>
        <Button tone="quiet" className="px-2 py-0.5" onClick={() => void withdraw(row, true)}>
          Withdraw
        </Button>
      </div>
      <p className="break-words text-[13px] text-soft">
        For pages of {origins.join(', ')}; up to {perMinute.toLocaleString('en')} questions a minute. Made by {who},{' '}
        {dayAndTime(madeAt)}.
      </p>
    </li>
  );
}

function Snippet({ keys }: { readonly keys: readonly ShopKeyRow[] }) {
  const { storefront } = usePlace();
  const [placing, setPlacing] = useState<Placing>('together');
  const [chosen, setChosen] = useState('');
  const key = keys.find((each) => each.key === chosen) ?? keys[0]!;
  const text = snippetFor({ placing, server: location.origin, storefront, key: key.key });
  return (
    <Section
      title="What to copy into your pages"
      note="Parts that name the same storefront and pages show one search, wherever they stand. Give whoever looks after your pages this text."
      aside={
        <Button className="py-1" onClick={() => void copyText(text, 'The text')}>
          <Copy size={14} aria-hidden />
          Copy
        </Button>
      }
    >
      <div className="mb-2 flex flex-wrap gap-3">
        <Choice<Placing> label="How it stands in your pages" value={placing} options={placings} change={setPlacing} />
        {keys.length > 1 && (
          <Choice
            label="The key in it"
            value={key.key}
            options={keys.map((each) => [each.key, each.name] as const)}
            change={setChosen}
          />
        )}
      </div>
      <section
        tabIndex={0}
        aria-label="The text to copy"
        className="overflow-x-auto rounded-lg border bg-paper-deep p-3 text-[12.5px] leading-relaxed"
      >
        <pre>{text}</pre>
      </section>
    </Section>
  );
}

function Pause({ since }: { readonly since: string | null }) {
  const set = async (paused: boolean): Promise<void> => {
    await arrange(
      () => call('pauseShop', { body: { paused } }),
      paused ? 'The search was not paused' : 'The search is still paused',
    );
  };
  return (
    <Section title="Pause" note="For a while in which shoppers should have the search that your pages had before.">
      <Switch
        label="Pages show this search"
        shown={
          since === null ? 'Pages show this search' : `Paused since ${dayAndTime(since)}: pages show their own search`
        }
        isOn={since === null}
        change={(on) => void set(!on)}
      />
    </Section>
  );
}

const told: readonly (readonly [string, string])[] = [
  [
    'show',
    'Which parts: box, count, sorting, filters, results; or button, which follows the page and opens all of it over that. Absent: all but the button.',
  ],
  ['devices', 'On which the button is: phone, tablet, desktop. Absent: on all.'],
  ['results', 'The page that the results are on, where that is another one.'],
  ['product-page', 'Your page of a product, with {id} where its number belongs.'],
  ['article-page', 'Your page of an article, likewise.'],
  ['collection', 'The collection that the page is of: it shows that, and its box searches within it.'],
  ['scope', 'A name for each of several searches on one page.'],
];
const heard: readonly (readonly [string, string])[] = [
  ['shelf-search', 'Results are shown, with query, collection and total.'],
  ['shelf-click', 'A product is chosen, with product and place. Prevent it to lead elsewhere yourself.'],
  ['shelf-basket', 'A variant is put into the basket, with product, variant and quantity.'],
  ['shelf-wish', 'A product is put on the wish list or taken off it, with product, variant and isOn.'],
  ['shelf-compare', 'The same for those that are compared.'],
];

function ForDevelopers() {
  const list = (label: string, rows: typeof told) => (
    <>
      <h3 className="mt-3 font-semibold text-[13.5px]">{label}</h3>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[13px]">
        {rows.map(([name, text]) => (
          <div key={name} className="contents">
            <dt>
              <code>{name}</code>
            </dt>
            <dd className="text-soft">{text}</dd>
          </div>
        ))}
      </dl>
    </>
  );
  return (
    <Section
      title="For whoever looks after your pages"
      note={
        <>
          Everything a page asks is described at{' '}
          <a href="/openapi.json" target="_blank" rel="noreferrer" className="text-press underline">
            /openapi.json
          </a>
          , below /shop.
        </>
      }
    >
      {list('What a part can be told', told)}
      {list('What a page can hear', heard)}
    </Section>
  );
}
