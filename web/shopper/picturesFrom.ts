/** Deepest answer that is looked through. */
const deepest = 12;

/** What pictures are called in answers. */
const names: ReadonlySet<string> = new Set(['picture', 'second', 'pictures']);

/**
 * An answer whose pictures, which are named by paths of our server, are named in full: on a page of another site a path
 * would be one of that site's own.
 */
export function picturesFrom<Answer>(base: string, answer: Answer, depth = 0): Answer {
  if (typeof answer !== 'object' || answer === null || depth > deepest) return answer;
  if (Array.isArray(answer)) return answer.map((each: unknown) => picturesFrom(base, each, depth + 1)) as Answer;
  return Object.fromEntries(
    Object.entries(answer).map(([name, value]) => [
      name,
      names.has(name) ? inFull(base, value) : picturesFrom(base, value, depth + 1),
    ]),
  ) as Answer;
}

const inFull = (base: string, named: unknown): unknown =>
  Array.isArray(named)
    ? named.map((each) => inFull(base, each))
    : typeof named === 'string' && named.startsWith('/')
      ? base + named
      : named;
