import { useState } from 'react';
import { longestName } from '../../../../api/limits.ts';
import type { StorefrontRow } from '../../../../api/storefrontEndpoints.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { usualCurrencies } from '../../../../core/setup/usualCurrencies.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { goTo } from '../../state/place.ts';
import { arrange } from '../../state/storefronts.ts';

const currencyNames = new Intl.DisplayNames('en-GB', { type: 'currency' });
const field = 'rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge';
/** Joins the copied storefront's id with whether its catalog comes along. */
const empty = '';

/** A storefront of its own: what it is called, what shoppers read, and what it begins with. */
export function MakeStorefront({
  storefronts,
  close,
}: {
  readonly storefronts: readonly StorefrontRow[];
  close(): void;
}) {
  const [name, setName] = useState('');
  const [shopName, setShopName] = useState('');
  const [currency, setCurrency] = useState('EUR');
  const [from, setFrom] = useState<string>(storefronts[0] ? `${storefronts[0].id}/catalog` : empty);
  const [isBusy, setBusy] = useState(false);
  const sources: (readonly [string, string])[] = [
    ...storefronts.flatMap(({ id, name: called, records }): (readonly [string, string])[] => [
      ...(records > 0 ? [[`${id}/catalog`, `What is live in ${called}, with its catalog`] as const] : []),
      [`${id}/setup`, `What is live in ${called}, without its catalog`],
    ]),
    [empty, 'Empty'],
  ];
  const make = async (): Promise<void> => {
    setBusy(true);
    const [storefront = '', what] = from.split('/');
    const made = await arrange(
      () =>
        call('makeStorefront', {
          body: {
            name,
            shop: { name: shopName.trim() || name, currency },
            from: from === empty ? null : { storefront, catalog: what === 'catalog' },
          },
        }),
      'The storefront was not made',
    );
    setBusy(false);
    if (made)
      void goTo({ storefront: made.id, draft: made.draft }, what === 'catalog' ? '/attributes' : '/catalog/bring-in');
  };
  return (
    <form
      aria-label="Make a storefront"
      className="mb-4 rounded-lg border bg-surface p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-2">
        <label htmlFor="storefront-name" className="text-[13px]">
          Called here
        </label>
        <input
          id="storefront-name"
          // biome-ignore lint/a11y/noAutofocus: the form was asked for, and its name is what comes first
          autoFocus
          required
          maxLength={longestName}
          placeholder="as in Germany"
          className={field}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <label htmlFor="storefront-shop" className="text-[13px]">
          Called in the shop
        </label>
        <input
          id="storefront-shop"
          maxLength={longest.shopName}
          placeholder={name || 'as shoppers know it'}
          className={field}
          value={shopName}
          onChange={(event) => setShopName(event.target.value)}
        />
        <span className="text-[13px]">Prices in</span>
        <Choice
          label="Currency of its prices"
          value={currency}
          options={usualCurrencies.map((code) => [code, `${code}, ${currencyNames.of(code) ?? code}`] as const)}
          change={setCurrency}
          className="w-full"
        />
        <span className="text-[13px]">Begins with</span>
        <Choice label="Begins with" value={from} options={sources} change={setFrom} className="w-full" />
      </div>
      <p className="mt-2 text-[13px] text-soft">
        It answers its shoppers at once. Prices are not converted: a price of 5 is 5 in its own money.
      </p>
      <div className="mt-3 flex justify-end gap-2">
        <Button onClick={close}>Cancel</Button>
        <Button type="submit" tone="strong" disabled={isBusy || name.trim() === ''}>
          {isBusy ? 'Making it …' : 'Make it'}
        </Button>
      </div>
    </form>
  );
}
