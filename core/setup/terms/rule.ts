import { z } from 'zod';
import { longest } from './limits.ts';
import { dayText } from './moments.ts';

/** What every rule, plan and hiding may say for whoever comes upon it later. */
export const aboutRule = {
  /** Why it is there. */
  note: z.string().trim().max(longest.note).optional(),
  /** The day on which it was made. */
  since: dayText.optional(),
  /** Whom to ask about it. */
  owner: z.string().trim().max(longest.entryName).optional(),
  /** The day on which to look at it again. */
  lookAgain: dayText.optional(),
};
