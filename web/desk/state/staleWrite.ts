import { CallProblem } from '../../client/request.ts';

/** Sentences told of what somebody else changed. */
const mostListed = 3;

interface Details {
  readonly who?: readonly string[];
  readonly changes?: readonly { readonly sentences: readonly string[] }[];
}

/** Who changed the same at the same time, and what, in two texts; null where an error is something else. */
export function describeStaleWrite(error: unknown): { readonly title: string; readonly text: string } | null {
  if (!(error instanceof CallProblem) || error.code !== 'stale-write') return null;
  const { who = [], changes = [] } = (error.details ?? {}) as Details;
  const sentences = changes.flatMap((change) => change.sentences);
  const more = sentences.length - mostListed;
  const by = who.length > 0 ? who.join(' and ') : 'Somebody';
  const what = sentences.slice(0, mostListed).map((sentence) => `${sentence}.`);
  return {
    title: `${by} changed this at the same time`,
    text: [...what, ...(more > 0 ? [`And ${more} more.`] : []), 'Your change was not saved.'].join(' '),
  };
}
