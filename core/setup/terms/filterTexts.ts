import { z } from 'zod';
import { languages } from '../../text/languages.ts';
import { longest } from './limits.ts';

export const label = z.string().trim().min(1).max(longest.label);
export const colour = z.string().regex(/^#[0-9a-f]{6}$/i, { message: 'must be a colour such as #a03623' });
export const language = z.enum(languages);
