import { afterEach, describe, expect, test } from '@jest/globals';
import { call, sendFile } from './call.ts';
import { CallProblem } from './request.ts';

const realFetch = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = realFetch;
});

interface Sent {
  readonly url: string;
  readonly init: RequestInit;
}
/** Answers every request in one way, and keeps what was sent. */
function answering(response: () => Response | Promise<Response>): Sent[] {
  const sent: Sent[] = [];
  globalThis.fetch = async (url, init) => {
    sent.push({ url: String(url), init: init ?? {} });
    return response();
  };
  return sent;
}
const problemOf = async (asked: Promise<unknown>): Promise<CallProblem> =>
  asked.then(
    () => {
      throw new Error('It was answered.');
    },
    (error: CallProblem) => error,
  );

describe('what is sent', () => {
  test('a question has its values in the address, each of a list, and none that is not there', async () => {
    const sent = answering(() => Response.json({ ok: true }));
    await call('shopSearch', { query: { q: 'red & blue', 'f.size': ['6', '8'], sort: undefined } as never });
    expect(sent[0]!.url).toBe('/shop/-/search?q=red+%26+blue&f.size=6&f.size=8');
    expect(sent[0]!.init.method).toBe('GET');
  });
  test('a change is sent as JSON', async () => {
    const sent = answering(() => Response.json({}));
    await call('edit', { body: { revision: 3, edits: [] } });
    expect(sent[0]).toMatchObject({
      url: '/desk/-/-/edits',
      init: { method: 'POST', body: '{"revision":3,"edits":[]}', headers: { 'content-type': 'application/json' } },
    });
  });
  test('a file is the body itself', async () => {
    const sent = answering(() => Response.json({}));
    const file = new File(['id,title'], 'catalog.csv');
    await sendFile('startImport', { file: 'catalog.csv' }, file);
    expect(sent[0]).toMatchObject({
      url: '/desk/-/-/catalog/import?file=catalog.csv',
      init: { method: 'POST', body: file },
    });
  });
});

describe('what comes back', () => {
  test('an answer is its JSON', async () => {
    answering(() => Response.json({ revision: 7 }));
    expect(await call('state')).toEqual({ revision: 7 });
  });
  test('a refusal says what is wrong and where', async () => {
    const error = { code: 'invalid-entry', message: 'The weight must be a number.', field: 'weight', details: [1] };
    answering(() => Response.json({ error }, { status: 422 }));
    const problem = await problemOf(call('state'));
    expect(problem).toBeInstanceOf(CallProblem);
    expect(problem).toMatchObject({ code: 'invalid-entry', field: 'weight', details: [1] });
    expect(problem.message).toBe('The weight must be a number.');
  });
  test('what is no answer of ours says its status', async () => {
    answering(() => new Response('<h1>Bad gateway</h1>', { status: 502, headers: { 'content-type': 'text/html' } }));
    expect(await problemOf(call('state'))).toMatchObject({ code: 'no-answer', message: 'The server answered 502.' });
  });
  test('no connection is told in plain words', async () => {
    answering(() => Promise.reject(new TypeError('fetch failed')));
    expect(await problemOf(call('state'))).toMatchObject({ code: 'no-connection' });
  });
  test('a question that was dropped is no problem to tell', async () => {
    answering(() => Promise.reject(new DOMException('dropped', 'AbortError')));
    expect((await problemOf(call('state'))).name).toBe('AbortError');
  });
});
