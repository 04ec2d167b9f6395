import { own } from '../base/named.ts';
import type { SetupPart } from './registry.ts';
import type { Setup } from './schema.ts';

/** The storefront that a part of a setup follows, or null where the part is the storefront's own. */
export const leaderOf = (setup: Pick<Setup, 'following'>, part: SetupPart): string | null =>
  own(setup.following, part)?.storefront ?? null;
