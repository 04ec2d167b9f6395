import type { ColumnFacts } from './describeColumns.ts';
import { nameKey, type Role, rolesNamed } from './roles.ts';
import type { ShopTerms } from './shopTerms.ts';
import { sureOfName } from './translations.ts';

/** A column of figures that a file has for several currencies or countries. */
export interface FiguresByShop {
  /** The column's name without what it is of. */
  readonly name: string;
  /** Whether another column has the storefront's own. */
  readonly isOther: boolean;
  /** The column that is taken where this one is empty. */
  readonly otherwise?: string;
  /** What it is of, in half a sentence. */
  readonly reason: string;
}

const currencies = new Set(
  'usd eur gbp chf sek nok dkk isk pln czk huf ron bgn jpy cny aud cad nzd brl mxn inr zar try krw'.split(' '),
);
const countries = new Set(
  'at be bg ch cy cz de dk ee es fi fr gb gr hr hu ie is it jp lt lu lv mt nl no pl pt ro se si sk us ca au nz mx br cn in kr tr za ae'.split(
    ' ',
  ),
);
/** Figures that differ by what they are sold in, and by where. */
const byCurrency: ReadonlySet<Role> = new Set(['price', 'former_price', 'cost']);
const byCountry: ReadonlySet<Role> = new Set(['price', 'former_price', 'stock']);

const regionLabels = new Intl.DisplayNames('en', { type: 'region' });

interface Told {
  readonly column: string;
  readonly name: string;
  readonly role: Role;
  /** In capitals. */
  readonly currency: string | null;
  readonly country: string | null;
}

/** What figures a column's name says it holds, and of which currency or country: `price_eur`, `stock_at`; null where it names none. */
function toldBy(column: string): Told | null {
  const words = nameKey(column).split(' ');
  const last = words.at(-1)!;
  const currency = words.find((word) => currencies.has(word)) ?? null;
  const code = last === 'uk' ? 'gb' : last;
  const country = words.length > 1 && countries.has(code) ? code : null;
  const name = words.filter((word) => word !== currency && (country === null || word !== last)).join(' ');
  const [named] = rolesNamed(name);
  if (!named || named.confidence < sureOfName) return null;
  const { role } = named;
  return {
    ...{ column, name, role },
    currency: byCurrency.has(role) ? (currency?.toUpperCase() ?? null) : null,
    country: byCountry.has(role) ? (country?.toUpperCase() ?? null) : null,
  };
}

/**
 * The columns of figures that a file has for several currencies or countries, by their names, and which of them are the
 * storefront's own: of those that say nothing against it the one that says most, so that a price is never one in other
 * money. A stock of the storefront's own country is filled up from the one of all, which says so. Where the storefront's
 * own currency and country are not known, none.
 */
export function figuresByShop(
  columns: readonly Pick<ColumnFacts, 'column'>[],
  { currency: ownCurrency, country: ownCountry }: ShopTerms,
): ReadonlyMap<string, FiguresByShop> {
  const found = new Map<string, FiguresByShop>();
  const sets = new Map<Role, Told[]>();
  for (const { column } of columns) {
    const told = toldBy(column);
    if (!told) continue;
    if ((told.currency !== null && ownCurrency === undefined) || (told.country !== null && ownCountry === undefined))
      continue;
    sets.set(told.role, [...(sets.get(told.role) ?? []), told]);
  }
  for (const set of sets.values()) {
    if (set.length < 2 || set.every(({ currency, country }) => currency === null && country === null)) continue;
    const says = ({ currency, country }: Told): number => Number(currency !== null) + Number(country !== null);
    const fits = ({ currency, country }: Told): boolean =>
      (currency === null || currency === ownCurrency) && (country === null || country === ownCountry);
    const [own] = set.filter(fits).sort((a, b) => says(b) - says(a));
    if (!own) continue;
    const plain = set.find((each) => each !== own && says(each) === 0);
    // In other money an amount is another price, so it never stands in for one.
    const otherwise = plain && own.currency === null ? { otherwise: plain.column } : {};
    for (const each of set) {
      const { column, name, currency, country } = each;
      if (each === own && says(own) === 0) continue;
      const reason =
        each === own
          ? `it is of this storefront’s own ${own.currency === null ? 'country' : 'currency'}`
          : currency !== null && currency !== ownCurrency
            ? `its amounts are in ${currency}, this storefront’s in ${ownCurrency}`
            : country !== null && country !== ownCountry
              ? `it is of ${regionLabels.of(country) ?? country}`
              : 'otherwise' in otherwise && each === plain
                ? `it is taken where “${own.column}” is empty`
                : `“${own.column}” has this storefront’s own`;
      found.set(column, { name, isOther: each !== own, reason, ...(each === own && otherwise) });
    }
  }
  return found;
}
