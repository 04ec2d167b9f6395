import type { Language } from '../../text/languages.ts';
import type { BlockKind } from './boxTerms.ts';

/** A text that comes with the shop, in each of its languages. */
export type ShopText = Readonly<Record<Language, string>>;

/** What the empty search box says. */
export const searchTheShop: ShopText = {
  ...{ en: 'Search the shop', de: 'Im Laden suchen', fr: 'Chercher dans la boutique', es: 'Buscar en la tienda' },
};

/** Messages of the empty shelf: the usual one, and those that mend a dead end by what is wrong with it. */
export const shelfMessages = {
  nothing: {
    en: 'Nothing on our shelves matches “{search}”.',
    de: 'Zu „{search}“ haben wir nichts im Regal.',
    fr: 'Rien dans nos rayons ne correspond à « {search} ».',
    es: 'No hay nada en nuestras estanterías para «{search}».',
  },
  question: {
    en: 'You asked about “{search}”. Our help pages answer it, or write to us.',
    de: 'Sie haben nach „{search}“ gefragt. Unsere Hilfeseiten geben Antwort, oder schreiben Sie uns.',
    fr: 'Vous cherchez « {search} ». Nos pages d’aide y répondent, ou écrivez-nous.',
    es: 'Ha preguntado por «{search}». Nuestras páginas de ayuda lo responden, o escríbanos.',
  },
  hidden: {
    en: 'What you look for with “{search}” is not available now.',
    de: 'Was Sie mit „{search}“ suchen, ist zurzeit nicht erhältlich.',
    fr: 'Ce que vous cherchez avec « {search} » n’est pas disponible pour le moment.',
    es: 'Lo que busca con «{search}» no está disponible ahora.',
  },
  notCarried: {
    en: 'We do not carry “{search}”. This is what others buy from us.',
    de: '„{search}“ führen wir nicht. Das kaufen andere bei uns.',
    fr: 'Nous n’avons pas « {search} ». Voici ce que d’autres achètent chez nous.',
    es: 'No tenemos «{search}». Esto es lo que otros nos compran.',
  },
} as const satisfies Readonly<Record<string, ShopText>>;

/** Headings of the search box’s blocks. */
export const boxTitles: Readonly<Record<BlockKind, ShopText>> = {
  recent: { en: 'Searched before', de: 'Zuletzt gesucht', fr: 'Recherches récentes', es: 'Búsquedas anteriores' },
  popular: { en: 'Often searched', de: 'Oft gesucht', fr: 'Souvent recherché', es: 'Muy buscado' },
  suggestions: { en: 'Suggestions', de: 'Vorschläge', fr: 'Suggestions', es: 'Sugerencias' },
  lookIn: { en: 'Look in', de: 'Suchen in', fr: 'Chercher dans', es: 'Buscar en' },
  products: { en: 'Products', de: 'Produkte', fr: 'Produits', es: 'Productos' },
  collections: { en: 'Collections', de: 'Sammlungen', fr: 'Collections', es: 'Colecciones' },
  articles: { en: 'Articles', de: 'Artikel', fr: 'Articles', es: 'Artículos' },
  message: { en: '', de: '', fr: '', es: '' },
};

const shippedAs = (message: string): ShopText | undefined =>
  Object.values(shelfMessages).find((text) => Object.values<string>(text).includes(message));
/** Whether a message is one that comes with the shop. */
export const isShipped = (message: string): boolean => shippedAs(message) !== undefined;

/** A message in a shopper's language, where it is one that comes with the shop; one's own stays as it was written. */
export const messageIn = (message: string, language: Language): string => shippedAs(message)?.[language] ?? message;
