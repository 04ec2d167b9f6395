import { pathToFileURL } from 'node:url';
import { afterEach, expect, test } from '@jest/globals';
import { dataFolder } from '../dataFolder.ts';
import { requestSignal } from '../requestSignal.ts';
import { type Lane, openLane } from './lanes.ts';

const worker = pathToFileURL('server/testing/laneWorker.mjs');
let lane: Lane;
const open = (name: 'shop' | 'long'): Lane => {
  lane = openLane(name, dataFolder('nowhere'), worker);
  return lane;
};
afterEach(() => lane.close());

test('what computes for a client that has gone is stopped, and its thread answers others again', async () => {
  const long = open('long');
  const first = await long.run({});
  const client = new AbortController();
  const endless = requestSignal.run(client.signal, () => long.run({ forEver: true }));
  const next = long.run({});
  client.abort();
  await expect(endless).rejects.toMatchObject({ problem: { code: 'client-gone' } });
  expect(await next).not.toBe(first);
});

test('what is nearly done when its client goes keeps its thread; what waits for a gone client is not begun', async () => {
  const long = open('long');
  const first = await long.run({});
  const client = new AbortController();
  const short = requestSignal.run(client.signal, () => long.run({ milliseconds: 50 }));
  const waiting = requestSignal.run(client.signal, () => long.run({ forEver: true }));
  const refused = expect(waiting).rejects.toMatchObject({ problem: { code: 'client-gone' } });
  client.abort();
  expect(await short).toBe(first);
  await refused;
  expect(await long.run({})).toBe(first);
});

test('told in turn, one thread takes over while the other answers', async () => {
  const shop = open('shop');
  await shop.atOnce({});
  const order: string[] = [];
  const followed = shop.inTurn({ milliseconds: 100 }).then(() => order.push('told'));
  const answered = await Promise.all(Array.from({ length: 5 }, () => shop.run({})));
  order.push('answered');
  await followed;
  expect(order).toEqual(['answered', 'told']);
  expect(new Set(answered).size).toBe(1);
});

test('a lane that is closed ends when what was asked is answered, and takes nothing more in turn', async () => {
  const shop = open('shop');
  const asked = shop.run({ milliseconds: 30 });
  const closing = shop.close();
  expect(typeof (await asked)).toBe('number');
  await closing;
  await expect(shop.inTurn({})).rejects.toMatchObject({ problem: { code: 'client-gone' } });
});

test('a thread begun anew is given first what it begins with; what lets go is given only where a thread has started', async () => {
  const long = open('long');
  await long.whereStarted({ forEver: true });
  const first = await long.run({});
  long.beginWith('main', { milliseconds: 1 });
  const client = new AbortController();
  const endless = requestSignal.run(client.signal, () => long.run({ forEver: true }));
  client.abort();
  await expect(endless).rejects.toMatchObject({ problem: { code: 'client-gone' } });
  const second = await long.run({});
  expect(second).not.toBe(first);
  long.beginWith('main', null);
  expect(await long.run({})).toBe(second);
});
