import { z } from 'zod';
import { shippedMessages } from '../../messages/messages.ts';
import { readMessage } from '../../messages/readMessage.ts';
import { languageNames } from '../../text/languages.ts';
import { longest } from '../terms/limits.ts';
import { openPart } from '../terms/part.ts';
import { longestWording, mostWordings, readWordingKey } from '../terms/wordingTerms.ts';

const wordingSchema = z.strictObject({
  /** An ICU message. */
  text: z
    .string()
    .trim()
    .min(1)
    .max(longestWording)
    .refine((text) => !('problem' in readMessage(text)), 'The text cannot be read: a brace or a mark is not closed.'),
});

/** Texts that shoppers read, as the merchandiser words them: by language and text. */
export const wording = openPart({
  key: z
    .string()
    .max(longest.key)
    .regex(/^[a-z]{2}\/[a-zA-Z]+(\.[a-zA-Z]+)?$/, 'A text is named by its language and its key, as en/results.sort.'),
  value: wordingSchema,
  most: mostWordings,
  describe({ key, after }) {
    const about = readWordingKey(key);
    if (!about) return [];
    const shipped = shippedMessages[about.language][about.key];
    const where = `In ${languageNames[about.language]}, “${shipped}”`;
    return [after ? `${where} is said as “${after.text}”` : `${where} is said as it comes with the shop`];
  },
});
