import { z } from 'zod';
import { dayNumber } from '../../base/day.ts';
import { clockMinutes } from '../../base/localTime.ts';
import { endsBeforeItBegins, endsTooSoon, type Span } from './span.ts';

/** A day of the storefront's, as 2026-12-01. */
export const dayText = z
  .string()
  .max(10)
  .refine((text) => !Number.isNaN(dayNumber(text)), 'A day is written as 2026-12-01.');

/** A day, or an hour of it, on the storefront's clock. */
export const momentText = z
  .string()
  .max(16)
  .refine((text) => !Number.isNaN(clockMinutes(text)), 'A moment is written as 2026-12-01 or 2026-12-01T08:00.');

/** A day of every year, as 12-24; the 29th of February comes when it comes. */
const dayOfYear = z
  .string()
  .max(5)
  .refine((text) => !Number.isNaN(dayNumber(`2028-${text}`)), 'A day of the year is written as 12-24.');

/** When something holds; see `Span`. */
export const spanFields = {
  from: momentText.optional(),
  until: momentText.optional(),
  yearly: z.strictObject({ from: dayOfYear, until: dayOfYear }).optional(),
};

/** Says where a span is impossible, for `refine`. */
export const inOrder = {
  test: (span: Span): boolean => !endsBeforeItBegins(span),
  says: { message: endsTooSoon, path: ['until'] },
};
/** The same for a merge of two changes that are each possible. */
export const spanClash = (span: Span): { readonly field: string; readonly reason: string } | null =>
  endsBeforeItBegins(span) ? { field: 'until', reason: endsTooSoon } : null;
