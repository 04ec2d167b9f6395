import type { Language } from '../text/languages.ts';

const countries: Readonly<Record<Language, string>> = { en: 'GB', de: 'DE', fr: 'FR', es: 'ES' };
/** By which amounts, dates and lists are written: a language as it is written in a country, its own where none is said. */
export const localeOf = (language: Language, country: string | undefined): string =>
  `${language}-${country ?? countries[language]}`;
