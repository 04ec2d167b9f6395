import type { MessageKey } from '../../core/messages/en.ts';
import { en } from '../../core/messages/en.ts';
import type { Language } from '../../core/text/languages.ts';
import type { Said, ShippedTexts } from '../look/shippedTexts.ts';

type Texts = Readonly<Record<MessageKey, Said>>;

/** Texts of other languages than English come when they are needed; all of them were read when this was built. */
const elsewhere: Readonly<Record<Exclude<Language, 'en'>, () => Promise<Texts>>> = {
  de: async () => (await import('../../core/messages/de.ts')).de,
  fr: async () => (await import('../../core/messages/fr.ts')).fr,
  es: async () => (await import('../../core/messages/es.ts')).es,
};
const here = new Map<Language, Texts>([['en', en]]);
/** What is not said by the box comes with the results, into the very texts that are in use. */
export const addEnglish = (rest: Texts): void => void Object.assign(here.get('en')!, rest);
let parse: ((text: string) => Said) | null = null;

/** The texts of the shop within pages of other sites: no more of them than the page needs. */
export const shippedTexts: ShippedTexts = {
  now: (language) => here.get(language) ?? null,
  readsOwn: () => parse !== null,
  read(text) {
    if (!parse) throw new Error('What reads texts has not come.');
    return parse(text);
  },
  async load(language, hasOwn) {
    await Promise.all([
      language === 'en' || here.has(language) ? null : elsewhere[language]().then((texts) => here.set(language, texts)),
      hasOwn && !parse
        ? import('@formatjs/icu-messageformat-parser').then((parser) => {
            parse = parser.parse;
          })
        : null,
    ]);
  },
};
