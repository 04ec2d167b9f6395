import { named } from '../base/named.ts';
import type { Language } from '../text/languages.ts';
import type { Setup } from './schema.ts';
import { readWordingKey } from './terms/wordingTerms.ts';

/** A merchandiser's own texts in one language, by key. */
export const wordingIn = ({ wording }: Setup, language: Language): Readonly<Record<string, string>> =>
  named(
    Object.entries(wording).flatMap(([key, { text }]): [string, string][] => {
      const about = readWordingKey(key);
      return about?.language === language ? [[about.key, text]] : [];
    }),
  );
