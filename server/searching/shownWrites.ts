import type { Writer } from '../store/writes.ts';

/** Writes after which shoppers are shown something else: all that is not a catalog put in force, which hands over itself. */
const shown = ['publish', 'publishAgain', 'acceptFacts', 'bringInContent'] as const satisfies readonly (keyof Writer)[];

/** The same writer, whose writes that shoppers see are answered when every shopper's thread shows them. */
export function shownWrites(writer: Writer, follow: () => Promise<void>): Writer {
  const followed = shown.map((call) => [
    call,
    async (...given: never) => {
      const answer = await (writer[call] as (...given: never) => Promise<unknown>)(...given);
      await follow();
      return answer;
    },
  ]);
  return { ...writer, ...Object.fromEntries(followed) };
}
