import type { Problem } from '../api/problem.ts';
import { FileProblem } from './catalog/sources/source.ts';
import { type RefusalStatus, Refused } from './refused.ts';

/** What a thread answers: a value, or a refusal as data, since errors lose all but their message between threads. */
export type ThreadOutcome =
  | { readonly value: unknown }
  | { readonly refused: { readonly status: RefusalStatus; readonly problem: Problem['error'] } }
  | { readonly file: { readonly code: string; readonly message: string } };

/** Does some work in a thread; `refusalOf` says which other errors are refusals too. */
export async function outcomeOf(
  work: () => unknown,
  refusalOf: (error: unknown) => Refused | null,
): Promise<ThreadOutcome> {
  try {
    return { value: await work() };
  } catch (error) {
    if (error instanceof FileProblem) return { file: { code: error.code, message: error.message } };
    const refused = error instanceof Refused ? error : refusalOf(error);
    if (!refused) throw error;
    return { refused: { status: refused.status, problem: refused.problem } };
  }
}

/** The value of an outcome, on the side that asked. */
export function answerIn(outcome: ThreadOutcome): unknown {
  if ('value' in outcome) return outcome.value;
  if ('file' in outcome) throw new FileProblem(outcome.file.code, outcome.file.message);
  throw new Refused(outcome.refused.status, outcome.refused.problem);
}
