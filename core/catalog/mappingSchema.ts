import { z } from 'zod';
import { languages } from '../text/languages.ts';
import { roles } from './roles.ts';
import { writings } from './writing.ts';

/** Most columns a file may bring; the index numbers attributes in one byte. */
export const mostColumns = 200;

export const columnReadingSchema = z.strictObject({
  /** The column's name as it stands in the file. */
  column: z.string().min(1).max(200),
  /** A role, an attribute of its own, or not taken. */
  as: z.enum([...roles, 'attribute', 'skip']),
  /** The attribute's key where it is an attribute or an option; roles have their own. */
  key: z.string().min(1).max(80),
  /** What stands between several values (or the levels of a path); empty where the text is one value. */
  split: z.string().max(5),
  /** How a bare number is read: `{value} gsm`. Empty where it stays a bare number. */
  pattern: z
    .string()
    .max(80)
    .regex(/^$|\{value\}/, 'must hold {value}, or be empty'),
  /** How its values are written, where the column as a whole tells it. Absent: each is read by itself. */
  writing: z.enum(writings).optional(),
  /** The language of its texts (ISO 639-1), where the file says the same in several. */
  language: z
    .string()
    .regex(/^[a-z]{2}$/)
    .optional(),
  /** The column whose cell is taken where this one's is empty. Absent: nothing is. */
  otherwise: z.string().min(1).max(200).optional(),
});
export type ColumnReading = z.infer<typeof columnReadingSchema>;

export const joiningSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('none') }),
  z.strictObject({ by: z.literal('column') }),
  /** Part numbers alike but for their last letters (`WU-17A`, `WU-17B`), or for their last group (`WU-17-RED`). */
  z.strictObject({ by: z.literal('sku'), cut: z.enum(['letters', 'group']) }),
  /** The same title but for the words of the options, and the same brand. */
  z.strictObject({ by: z.literal('title') }),
]);
export type Joining = z.infer<typeof joiningSchema>;

/** How a file's rows are read: open JSON, kept for the next file with the same columns. */
export const mappingSchema = z.strictObject({
  format: z.literal('clever-shelf-mapping'),
  version: z.literal(1),
  columns: z.array(columnReadingSchema).min(1).max(mostColumns),
  families: joiningSchema,
  /** Where no column is an id or a SKU: the columns whose values together tell rows apart, of which an id is made. */
  identity: z.array(z.string().min(1).max(200)).min(1).max(mostColumns).optional(),
  /** Whose word forms are found; absent: English. */
  language: z.enum(languages).optional(),
});
export type Mapping = z.infer<typeof mappingSchema>;
