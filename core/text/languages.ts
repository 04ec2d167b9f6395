/** The languages whose word forms are known, by their two-letter codes. */
export const languages = ['en', 'de', 'fr', 'es'] as const;
export type Language = (typeof languages)[number];
export const languageNames: Readonly<Record<Language, string>> = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
};
export const isLanguage = (text: string): text is Language => (languages as readonly string[]).includes(text);
