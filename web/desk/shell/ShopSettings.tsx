import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { longest } from '../../../core/setup/terms/limits.ts';
import type { Shop } from '../../../core/setup/terms/shop.ts';
import { usualCurrencies } from '../../../core/setup/usualCurrencies.ts';
import { price } from '../../look/price.ts';
import { Choice, NumberField, TextField } from '../parts/Controls.tsx';
import { countryOptions } from '../state/countries.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';
import { goTo, usePlace } from '../state/place.ts';
import { useStorefronts } from '../state/storefronts.ts';

const zones = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')];
const currencyNames = new Intl.DisplayNames('en-GB', { type: 'currency' });

/** What the shop is called and what its prices are in: said here, seen in the shop window, published like all else. */
export function ShopSettings() {
  const { setup } = useDeskState();
  const { shop } = setup.storefront;
  const change = (to: { readonly [Key in keyof Shop]?: Shop[Key] | undefined }): void => {
    const said = Object.entries({ ...shop, ...to }).filter(([, value]) => value !== undefined);
    void edit({ part: 'storefront', key: 'shop', value: Object.fromEntries(said) });
  };
  const currencies = usualCurrencies.includes(shop.currency) ? usualCurrencies : [shop.currency, ...usualCurrencies];
  return (
    <>
      <OtherStorefronts />
      <h2 className="font-display font-semibold text-[15px]">The shop</h2>
      <p className="mt-0.5 text-[13px] text-soft">
        What shoppers read at its head, and the money its prices are in. Nothing is converted: a price of 5 reads{' '}
        {price(5, shop.currency)}.
      </p>
      <div className="mt-3 grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-2">
        <span className="text-[13px]">Name</span>
        <TextField
          label="Name of the shop"
          placeholder="as shoppers know it"
          maxLength={longest.shopName}
          className="w-full"
          value={shop.name}
          change={(name) => change({ name })}
        />
        <span className="text-[13px]">Prices in</span>
        <Choice
          label="Currency of its prices"
          className="w-full"
          value={shop.currency}
          options={currencies.map((code) => [code, `${code}, ${currencyNames.of(code) ?? code}`] as const)}
          change={(currency) => change({ currency })}
        />
        <span className="text-[13px]">Sells in</span>
        <Choice
          label="Country it sells in"
          className="w-full"
          value={shop.country ?? ''}
          options={countryOptions}
          change={(country) => change({ country: country === '' ? undefined : country })}
        />
        <span className="text-[13px]">Tax</span>
        <span className="flex items-center gap-1.5">
          <Choice
            label="Whether its prices have the tax in them"
            className="min-w-0 flex-1"
            value={shop.tax ? (shop.tax.included ? 'with' : 'without') : 'unsaid'}
            options={[
              ['unsaid', 'nothing is said'],
              ['with', 'prices are with tax of'],
              ['without', 'prices are without tax of'],
            ]}
            change={(to) =>
              change({ tax: to === 'unsaid' ? undefined : { included: to === 'with', rate: shop.tax?.rate ?? 20 } })
            }
          />
          {shop.tax && (
            <>
              <NumberField
                label="Rate of the tax, in percent"
                value={shop.tax.rate}
                least={0}
                most={100}
                change={(rate) => change({ tax: { included: shop.tax!.included, rate } })}
              />
              %
            </>
          )}
        </span>
        <span className="text-[13px]">Time zone</span>
        <Choice
          label="Time zone in which its days begin"
          className="w-full"
          value={shop.timeZone ?? 'UTC'}
          options={zones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
          change={(timeZone) => change({ timeZone: timeZone === 'UTC' ? undefined : timeZone })}
        />
        <span className="text-[13px]">Web address</span>
        <TextField
          label="Web address of the shop"
          placeholder="https://"
          mayBeEmpty
          maxLength={longest.webAddress}
          className="w-full"
          value={shop.address ?? ''}
          change={(address) => change({ address: address === '' ? undefined : address })}
        />
      </div>
    </>
  );
}

/** The other shops of this desk, each a press away. */
function OtherStorefronts() {
  const { data } = useStorefronts();
  const { storefront: here } = usePlace();
  const others = data?.storefronts.filter(({ id }) => id !== here) ?? [];
  return (
    <section aria-label="Storefronts" className="mb-3 border-b pb-2">
      {others.length > 0 && (
        <ul className="-mx-2">
          {others.map(({ id, name, archivedAt, shop, draft }) => (
            <li key={id}>
              <button
                type="button"
                className="flex w-full items-baseline gap-2 rounded-md px-2 py-1 text-left hover:bg-press-soft"
                onClick={() => void goTo({ storefront: id, draft })}
              >
                <span className="truncate font-semibold">{name}</span>
                <span className="ml-auto shrink-0 text-[12.5px] text-soft">
                  {archivedAt ? 'closed' : shop?.currency}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <Popover.Close asChild>
        <Link to="/storefronts" className="text-[13px] text-press hover:underline">
          All storefronts, make another one
        </Link>
      </Popover.Close>
    </section>
  );
}
