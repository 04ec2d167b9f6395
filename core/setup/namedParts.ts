import { copyNamed } from '../base/named.ts';
import type { Setup } from './schema.ts';

/** A setup that came as plain JSON, so that its parts hold no names but those that were given. */
export function namedParts(setup: Setup): Setup {
  const parts = Object.entries(setup).map(([name, part]) => [
    name,
    typeof part === 'object' ? copyNamed<unknown>(part) : part,
  ]);
  return Object.fromEntries(parts);
}
