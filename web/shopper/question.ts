import { createStore, type StoreApi } from 'zustand/vanilla';
import { isPassing, tryAgainAfter } from '../client/request.ts';

/** What is known of the answer to the question that was asked last. */
export interface Asked<Answer> {
  readonly data: Answer | undefined;
  readonly error: Error | undefined;
  /** Whether `data` answers an earlier question: that of this one is on its way. */
  readonly isStale: boolean;
}
export const unasked: Asked<never> = { data: undefined, error: undefined, isStale: false };

/** One question at a time: an answer to an older one never takes a newer one's place. */
export interface Question<Answer> {
  readonly state: StoreApi<Asked<Answer>>;
  /**
   * Asks; the same `key` stands for the same question. The answer before stays in sight until another comes, unless
   * `begins`. One that is known is shown at once, and asked for again where it is not fresh.
   */
  ask(key: string, fetch: (signal: AbortSignal) => Promise<Answer>, begins?: boolean): void;
  /** Asks the last question again. */
  again(): void;
  stop(): void;
}

export interface QuestionOptions<Answer> {
  /** How long an answer is shown again without being asked for, in milliseconds. */
  readonly freshFor: number;
  readonly now: () => number;
  /** Hears every answer to the question that stands, once. */
  readonly answered?: (answer: Answer) => void;
  /** Hears every refusal of it. */
  readonly refused?: (error: Error) => void;
}

/** Answers kept of questions asked before. */
const mostKept = 30;

export function createQuestion<Answer>({
  freshFor,
  now,
  answered,
  refused,
}: QuestionOptions<Answer>): Question<Answer> {
  const state = createStore<Asked<Answer>>(() => unasked);
  const known = new Map<string, { readonly answer: Answer; readonly at: number }>();
  let last: { readonly key: string; readonly fetch: (signal: AbortSignal) => Promise<Answer> } | null = null;
  let asking: AbortController | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = (): void => {
    clearTimeout(timer);
    asking?.abort();
    asking = null;
  };
  const keep = (key: string, answer: Answer): void => {
    known.delete(key);
    known.set(key, { answer, at: now() });
    if (known.size > mostKept) known.delete(known.keys().next().value!);
  };
  const send = async (): Promise<void> => {
    if (!last) return;
    stop();
    const { key, fetch } = last;
    const mine = new AbortController();
    asking = mine;
    let answer: Answer;
    try {
      answer = await fetch(mine.signal);
    } catch (error) {
      if (asking !== mine) return;
      asking = null;
      state.setState({ error: error as Error });
      refused?.(error as Error);
      // What is refused in passing is answered a little later.
      if (isPassing(error)) timer = setTimeout(() => void send(), tryAgainAfter);
      return;
    }
    if (asking !== mine) return;
    asking = null;
    keep(key, answer);
    state.setState({ data: answer, error: undefined, isStale: false });
    answered?.(answer);
  };
  return {
    state,
    stop,
    again: () => void send(),
    ask(key, fetch, begins = false) {
      const isSame = last?.key === key;
      if (isSame && asking) return;
      last = { key, fetch };
      const before = known.get(key);
      if (before) {
        state.setState({ data: before.answer, error: undefined, isStale: false });
        if (now() - before.at < freshFor) {
          stop();
          if (!isSame) answered?.(before.answer);
          return;
        }
      } else if (begins) state.setState(unasked);
      else state.setState(({ data }) => ({ error: undefined, isStale: data !== undefined }));
      void send();
    },
  };
}
