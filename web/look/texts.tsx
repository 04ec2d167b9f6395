import { type FormatXMLElementFn, IntlMessageFormat } from 'intl-messageformat';
import { createContext, createElement, Fragment, type ReactNode, useContext } from 'react';
import type { MessageKey } from '../../core/messages/en.ts';
import { localeOf } from '../../core/messages/localeOf.ts';
import type { Language } from '../../core/text/languages.ts';
import { type Said, shippedTexts } from './shippedTexts.ts';

type Values = Readonly<Record<string, string | number>>;
/** What may stand around words of a message, by its mark. */
type Marks = Readonly<Record<string, (inside: ReactNode) => ReactNode>>;

/** The texts of the shop in one language, with its ways of writing amounts and lists. */
export interface Texts {
  readonly language: Language;
  /** A message; without marks in it. */
  say(key: MessageKey, values?: Values): string;
  /** A message whose marks become elements. */
  rich(key: MessageKey, values: Readonly<Record<string, ReactNode>>, marks?: Marks): ReactNode;
  /** A name as it stands inside a sentence: its capital goes, but in German. */
  inText(name: string): string;
  count(amount: number): string;
  /** With one decimal. */
  decimal(amount: number): string;
  /** At most two decimals. */
  number(amount: number): string;
  /** `isShort`: a whole amount without decimals. */
  money(amount: number, currency: string, isShort?: boolean): string;
  /** Words, each in quotation marks, as a list. */
  quoted(words: readonly string[]): string;
  /** One of some, as a list. */
  anyOf(items: readonly { readonly key: string; readonly shown: ReactNode }[]): ReactNode;
}

/** What marks are where nothing else is said. */
const usualMarks: Marks = {
  b: (inside) => <b className="font-semibold text-ink">{inside}</b>,
  i: (inside) => <i>{inside}</i>,
  soft: (inside) => <span className="text-soft">{inside}</span>,
};

/** Parts side by side, which need no names as those of an array do. */
const side = (parts: readonly ReactNode[]): ReactNode => createElement(Fragment, null, ...parts);

/** Texts read lately, by language and text: a message is drawn many times. */
function compiler(locale: string): (text: Said) => IntlMessageFormat {
  const known = new Map<Said, IntlMessageFormat>();
  return (text) => {
    const read = known.get(text) ?? new IntlMessageFormat(text, locale);
    known.set(text, read);
    return read;
  };
}

/**
 * The texts of a language as a country writes amounts; `own` are a merchandiser's own, by key. One of them that cannot be
 * read, or names what there is not, leaves the text that comes with the shop.
 */
export function textsIn(language: Language, country?: string, own: Readonly<Record<string, string>> = {}): Texts {
  const locale = localeOf(language, country);
  const texts = shippedTexts.now(language) ?? shippedTexts.now('en')!;
  const read = compiler(locale);
  const formatted = <Answer,>(key: MessageKey, format: (message: IntlMessageFormat) => Answer): Answer => {
    const shipped = texts[key];
    if (!Object.hasOwn(own, key)) return format(read(shipped));
    try {
      return format(read(shippedTexts.read(own[key]!)));
    } catch {
      return format(read(shipped));
    }
  };
  const numbers = new Intl.NumberFormat(locale);
  const decimals = new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 });
  const amounts = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
  const monies = new Map<string, Intl.NumberFormat>();
  const list = new Intl.ListFormat(locale);
  const choice = new Intl.ListFormat(locale, { type: 'disjunction' });
  const say: Texts['say'] = (key, values) => formatted(key, (message) => String(message.format(values)));
  return {
    language,
    say,
    rich: (key, values, marks) =>
      formatted(key, (message) => {
        const drawn: [string, FormatXMLElementFn<ReactNode>][] = Object.entries({ ...usualMarks, ...marks }).map(
          ([mark, draw]) => [mark, (inside) => draw(side(inside))],
        );
        const parts = message.format<ReactNode>({ ...values, ...Object.fromEntries(drawn) });
        return Array.isArray(parts) ? side(parts) : parts;
      }),
    inText: (name) => (language === 'de' ? name : name.toLocaleLowerCase(locale)),
    count: (amount) => numbers.format(amount),
    decimal: (amount) => decimals.format(amount),
    number: (amount) => amounts.format(amount),
    money(amount, currency, isShort = false) {
      const trailingZeroDisplay = isShort ? 'stripIfInteger' : 'auto';
      const key = `${currency} ${trailingZeroDisplay}`;
      const format =
        monies.get(key) ?? new Intl.NumberFormat(locale, { style: 'currency', currency, trailingZeroDisplay });
      monies.set(key, format);
      return format.format(amount);
    },
    quoted: (words) => list.format(words.map((text) => say('quoted', { text }))),
    anyOf(items) {
      const shown = [...items];
      return side(
        choice
          .formatToParts(items.map(({ key }) => key))
          .map(({ type, value }) => (type === 'element' ? shown.shift()!.shown : value)),
      );
    },
  };
}

/** As the desk speaks. */
export const english = textsIn('en');
const TextsContext = createContext<Texts>(english);
export const TextsIn = TextsContext.Provider;
/** The texts of the shop that is shown. */
export const useTexts = (): Texts => useContext(TextsContext);
