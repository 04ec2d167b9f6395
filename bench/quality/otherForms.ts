import type { Language } from '../../core/text/languages.ts';

/** One word in another form, as English makes it; null where the word has none that is plain. */
function english(word: string): string | null {
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(s|x|z|ch|sh)es$/.test(word)) return word.slice(0, -2);
  if (/[^su]s$/.test(word)) return word.slice(0, -1);
  if (/[^aeiou]y$/.test(word)) return `${word.slice(0, -1)}ies`;
  if (/(s|x|z|ch|sh)$/.test(word)) return `${word}es`;
  return /ing$|ed$|ly$|ous$|ive$|al$|ic$/.test(word) ? null : `${word}s`;
}

/** The regular plurals of the other languages, and the ending adjectives most often take. */
const others: Readonly<Record<Exclude<Language, 'en'>, (word: string) => string | null>> = {
  de: (word) => {
    if (/(en|em|es|s)$/.test(word)) return null;
    if (/(isch|lich|ig)$/.test(word)) return `${word}e`;
    return /(e|er|el)$/.test(word) ? `${word}n` : `${word}en`;
  },
  fr: (word) => {
    if (/[sxz]$/.test(word)) return null;
    if (/eau$/.test(word)) return `${word}x`;
    return /al$/.test(word) ? `${word.slice(0, -2)}aux` : `${word}s`;
  },
  es: (word) => {
    if (/s$/.test(word)) return null;
    if (/z$/.test(word)) return `${word.slice(0, -1)}ces`;
    return /[aeiou]$/.test(word) ? `${word}s` : `${word}es`;
  },
};

/** A folded word in another form, by a language's regular rules. */
export function otherForm(word: string, language: Language): string | null {
  if (word.length < 4 || !/^[a-z]+$/.test(word)) return null;
  return language === 'en' ? english(word) : others[language](word);
}
