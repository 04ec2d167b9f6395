import { type ReactNode, useId, useState } from 'react';
import { longestName } from '../../../../api/limits.ts';
import type { StorefrontRow } from '../../../../api/storefrontEndpoints.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { usualCurrencies } from '../../../../core/setup/usualCurrencies.ts';
import { type Language, languageNames, languages } from '../../../../core/text/languages.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { countryOptions } from '../../state/countries.ts';
import { goTo } from '../../state/place.ts';
import { arrange } from '../../state/storefronts.ts';

const currencyNames = new Intl.DisplayNames('en-GB', { type: 'currency' });
const field = 'rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge';
const unsaid = '';

type Catalog = 'copy' | 'share' | 'none';

function Row({ label, htmlFor, children }: { readonly label: string; readonly htmlFor?: string; children: ReactNode }) {
  return (
    <>
      {htmlFor ? (
        <label htmlFor={htmlFor} className="text-[13px]">
          {label}
        </label>
      ) : (
        <span className="text-[13px]">{label}</span>
      )}
      {children}
    </>
  );
}

/** A storefront of its own: what it is called, what shoppers read, and what it begins with. */
export function MakeStorefront({
  storefronts,
  close,
}: {
  readonly storefronts: readonly StorefrontRow[];
  close(): void;
}) {
  const ids = useId();
  const [name, setName] = useState('');
  const [shopName, setShopName] = useState('');
  const [currency, setCurrency] = useState('EUR');
  const [country, setCountry] = useState(unsaid);
  const [language, setLanguage] = useState<Language | typeof unsaid>(unsaid);
  const [from, setFrom] = useState(storefronts[0]?.id ?? unsaid);
  const [catalog, setCatalog] = useState<Catalog>('share');
  const [follows, setFollows] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const source = storefronts.find(({ id }) => id === from);
  const hasRecords = source !== undefined && source.records > 0;
  const mayShare = hasRecords && source.shares === null;
  const taken: Catalog = !hasRecords ? 'none' : catalog === 'share' && !mayShare ? 'copy' : catalog;
  const catalogs: (readonly [Catalog, string])[] = [
    ...(mayShare ? [['share', `Shares the records of ${source.name}`] as const] : []),
    ...(hasRecords ? [['copy', `A copy of that of ${source.name}`] as const] : []),
    ['none', 'None yet'],
  ];
  const make = async (): Promise<void> => {
    setBusy(true);
    const shop = { name: shopName.trim() || name, currency, ...(country !== unsaid && { country }) };
    const made = await arrange(
      () =>
        call('makeStorefront', {
          body: {
            ...{ name, shop, language: language === unsaid ? null : language },
            from: source ? { storefront: source.id, catalog: taken, follow: follows } : null,
          },
        }),
      'The storefront was not made',
    );
    setBusy(false);
    if (made)
      void goTo(
        { storefront: made.id, draft: made.draft },
        taken === 'copy' ? '/attributes' : taken === 'share' ? '/storefronts' : '/catalog/bring-in',
      );
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
        <Row label="Called here" htmlFor={`${ids}name`}>
          <input
            id={`${ids}name`}
            // biome-ignore lint/a11y/noAutofocus: the form was asked for, and its name is what comes first
            autoFocus
            required
            maxLength={longestName}
            placeholder="as in Germany"
            className={field}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </Row>
        <Row label="Called in the shop" htmlFor={`${ids}shop`}>
          <input
            id={`${ids}shop`}
            maxLength={longest.shopName}
            placeholder={name || 'as shoppers know it'}
            className={field}
            value={shopName}
            onChange={(event) => setShopName(event.target.value)}
          />
        </Row>
        <Row label="Prices in">
          <Choice
            label="Currency of its prices"
            value={currency}
            options={usualCurrencies.map((code) => [code, `${code}, ${currencyNames.of(code) ?? code}`] as const)}
            change={setCurrency}
            className="w-full"
          />
        </Row>
        <Row label="Sells in">
          <Choice
            label="Country it sells in"
            value={country}
            options={countryOptions}
            change={setCountry}
            className="w-full"
          />
        </Row>
        <Row label="Its language">
          <Choice
            label="Language of its products"
            value={language}
            options={[[unsaid, 'As its texts are'], ...languages.map((code) => [code, languageNames[code]] as const)]}
            change={(code) => setLanguage(code as Language | typeof unsaid)}
            className="w-full"
          />
        </Row>
        <Row label="Begins with">
          <Choice
            label="Begins with"
            value={from}
            options={[
              ...storefronts.map(({ id, name: called }) => [id, `What is live in ${called}`] as const),
              [unsaid, 'Nothing'],
            ]}
            change={setFrom}
            className="w-full"
          />
        </Row>
        {source && (
          <>
            <Row label="Its setup">
              <Choice
                label="Its setup"
                value={follows ? 'follow' : 'copy'}
                options={[
                  ['copy', 'Its own, beginning as a copy'],
                  ['follow', `Follows ${source.name} in every part`],
                ]}
                change={(value) => setFollows(value === 'follow')}
                className="w-full"
              />
            </Row>
            <Row label="Its catalog">
              <Choice
                label="Its catalog"
                value={taken}
                options={catalogs}
                change={(value) => setCatalog(value as Catalog)}
                className="w-full"
              />
            </Row>
          </>
        )}
      </div>
      <p className="mt-2 text-[13px] text-soft">
        {taken === 'share'
          ? 'It reads the same rows in its own way: the texts in its language and the prices in its currency, where the file has them. Products and stock are the same.'
          : 'It answers its shoppers at once. Prices are not converted: a price of 5 is 5 in its own money.'}
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
