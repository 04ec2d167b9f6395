import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { Writer } from '../store/writes.ts';

/**
 * Writes after which shoppers are shown something else: all that is not a catalog put in force, which hands over itself.
 * What each is called with first says of which storefront.
 */
const shown = [
  'publish',
  'publishAgain',
  'acceptFacts',
  'bringInContent',
  'keepNearTexts',
] as const satisfies readonly (keyof Writer)[];

/** The same writer, whose writes that shoppers see are answered when every shopper's thread shows them. */
export function shownWrites(writer: Writer, follow: (storefront: string) => Promise<void>): Writer {
  const followed = shown.map((call) => [
    call,
    async (first: string | SetupRef, ...given: unknown[]) => {
      const answer = await (writer[call] as (...given: unknown[]) => Promise<unknown>)(first, ...given);
      const here = typeof first === 'string' ? first : first.storefront;
      const reached = (answer as { readonly reached?: readonly string[] } | undefined)?.reached ?? [];
      await Promise.all([here, ...reached].map(follow));
      return answer;
    },
  ]);
  return { ...writer, ...Object.fromEntries(followed) };
}
