import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import type { MessageKey } from '../../core/messages/en.ts';
import { shippedMessages } from '../../core/messages/messages.ts';
import type { Language } from '../../core/text/languages.ts';

/** A message as it is written, or as it was read before. */
export type Said = string | MessageFormatElement[];

/** The texts that come with the shop; on our own pages all of them are there at once. */
export interface ShippedTexts {
  /** Those of a language, or null as long as they have not come. */
  now(language: Language): Readonly<Record<MessageKey, Said>> | null;
  /** Whether a merchandiser's own texts can be read. */
  readsOwn(): boolean;
  /** A merchandiser's own text, read; throws where it cannot be. */
  read(text: string): Said;
  /** Brings the texts of a language, and what reads a merchandiser's own. */
  load(language: Language, hasOwn: boolean): Promise<void>;
}

export const shippedTexts: ShippedTexts = {
  now: (language) => shippedMessages[language],
  readsOwn: () => true,
  read: (text) => text,
  load: async () => {},
};
