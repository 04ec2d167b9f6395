import type { Language } from '../text/languages.ts';
import { de } from './de.ts';
import { en, type MessageKey, type Messages } from './en.ts';
import { es } from './es.ts';
import { fr } from './fr.ts';

/** The texts that come with the shop. */
export const shippedMessages: Readonly<Record<Language, Messages>> = { en, de, fr, es };
export const messageKeys = Object.keys(en) as MessageKey[];
export const isMessageKey = (text: string): text is MessageKey => Object.hasOwn(en, text);
