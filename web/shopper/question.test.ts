import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { CallProblem } from '../client/request.ts';
import { createQuestion, unasked } from './question.ts';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

/** A question whose answers come when the test says so. */
function asking(freshFor = 1000) {
  let at = 0;
  const answered: string[] = [];
  const sent: { key: string; signal: AbortSignal; answer(text: string): void; refuse(error: Error): void }[] = [];
  const question = createQuestion<string>({ freshFor, now: () => at, answered: (answer) => answered.push(answer) });
  const ask = (key: string, begins = false): void =>
    question.ask(
      key,
      (signal) => new Promise((answer, refuse) => void sent.push({ key, signal, answer, refuse })),
      begins,
    );
  const settle = () => jest.advanceTimersByTimeAsync(0);
  return { question, ask, sent, answered, settle, pass: (milliseconds: number) => (at += milliseconds) };
}

test('what was there stays until the answer to a newer question comes; an older one’s never takes its place', async () => {
  const { question, ask, sent, answered, settle } = asking();
  ask('a');
  expect(question.state.getState()).toEqual(unasked);
  sent[0]!.answer('A');
  await settle();
  ask('b');
  ask('b');
  ask('c');
  expect(question.state.getState()).toEqual({ data: 'A', error: undefined, isStale: true });
  expect(sent.map(({ key }) => key)).toEqual(['a', 'b', 'c']);
  expect(sent[1]!.signal.aborted).toBe(true);
  sent[2]!.answer('C');
  sent[1]!.answer('B');
  await settle();
  expect(question.state.getState()).toEqual({ data: 'C', error: undefined, isStale: false });
  expect(answered).toEqual(['A', 'C']);
});

test('one asked before is shown at once, and asked for again where it is not fresh', async () => {
  const { question, ask, sent, pass, settle } = asking();
  for (const key of ['a', 'b']) {
    ask(key);
    sent.at(-1)!.answer(key.toUpperCase());
    await settle();
  }
  ask('a');
  expect(question.state.getState()).toMatchObject({ data: 'A', isStale: false });
  expect(sent).toHaveLength(2);
  pass(1000);
  ask('b');
  expect(question.state.getState()).toMatchObject({ data: 'B', isStale: false });
  expect(sent).toHaveLength(3);
});

test('a question that begins shows nothing of the one before', async () => {
  const { question, ask, sent, settle } = asking();
  ask('a');
  sent[0]!.answer('A');
  await settle();
  ask('b', true);
  expect(question.state.getState()).toEqual(unasked);
});

test('a refusal leaves what was there; one in passing is asked again a little later, until something else is', async () => {
  const { question, ask, sent, settle } = asking();
  ask('a');
  sent[0]!.answer('A');
  await settle();
  ask('b');
  sent[1]!.refuse(new CallProblem({ code: 'no-connection', message: 'Gone.' }));
  await settle();
  expect(question.state.getState()).toMatchObject({ data: 'A', error: { message: 'Gone.' } });
  await jest.advanceTimersByTimeAsync(2000);
  expect(sent.map(({ key }) => key)).toEqual(['a', 'b', 'b']);
  sent[2]!.refuse(new CallProblem({ code: 'invalid-parameter', message: 'Wrong.' }));
  await jest.advanceTimersByTimeAsync(60_000);
  expect(sent).toHaveLength(3);
  question.again();
  sent[3]!.answer('B');
  await settle();
  expect(question.state.getState()).toEqual({ data: 'B', error: undefined, isStale: false });
});
