import { seededRandom } from '../../core/base/random.ts';
import { entriesOf } from '../../core/setup/entries.ts';
import { readEntries } from '../../core/setup/readSetup.ts';
import { languageNames, type NastyRequest, nastyRequest } from './nastyRequests.ts';
import { openTestShelf, type TestShelf } from './openTestShelf.ts';

/** A catalog whose columns and values are named as the language names things. */
const nastyCatalog = [
  ['id', 'family', 'sku', 'title', 'price', ...languageNames].join(','),
  ...['a', 'b', 'c'].map((id, row) =>
    [
      `${id}1`,
      id,
      `WU-${row}`,
      `${languageNames[row]} brush`,
      row + 1,
      ...languageNames.map((name) => `${name} ${row % 2}`),
    ].join(','),
  ),
].join('\n');

export interface FuzzReport {
  readonly requests: number;
  readonly statuses: ReadonlyMap<number, number>;
  /** What went wrong, each with the request that did it. */
  readonly faults: readonly string[];
}

/** Whether an answer is one the contract allows: never our mistake, and always with a code where it is refused. */
async function faultIn(
  shelf: TestShelf,
  { path, init }: NastyRequest,
  note: (status: number) => void,
): Promise<string | null> {
  const shown = `${init.method ?? 'GET'} ${path} ${String(init.body ?? '')}`.slice(0, 600);
  const response = await shelf.request(path, init);
  note(response.status);
  const text = await response.text();
  if (response.status >= 500) return `${response.status}: ${shown} → ${text.slice(0, 200)}`;
  if (response.status < 400) return null;
  try {
    const { error } = JSON.parse(text) as { error?: { code?: string; message?: string } };
    return error?.code && error.message ? null : `no code: ${shown}`;
  } catch {
    return `no JSON: ${shown} → ${text.slice(0, 200)}`;
  }
}

/** Sends nasty requests to a small shop, looking now and then whether it can still be read. Deterministic by its seed. */
export async function fuzz(rounds: number, seed: number): Promise<FuzzReport> {
  const shelf = openTestShelf();
  const random = seededRandom(seed);
  const statuses = new Map<number, number>();
  const faults: string[] = [];
  const note = (status: number): void => {
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
  };
  try {
    await shelf.bringIn(nastyCatalog);
    for (let round = 0; round < rounds; round++) {
      const request = nastyRequest(random, shelf.setups.revision());
      const fault = await faultIn(shelf, request, note);
      if (fault) faults.push(`round ${round}: ${fault}`);
      if (round % 25 !== 24) continue;
      const { setAside } = readEntries(entriesOf(shelf.setups.draft()));
      if (shelf.setups.setAside().length > 0 || setAside.length > 0)
        faults.push(`round ${round}: what was written cannot be read: ${JSON.stringify(shelf.setups.setAside()[0])}`);
      if (random() < 0.5) await shelf.post('/desk/publish', { revision: shelf.setups.revision() });
      for (const path of ['/desk/state', '/shop/search?q=brush', '/shop/search?q=', '/desk/releases']) {
        const found = await faultIn(shelf, { path, init: {} }, () => {});
        if (found) faults.push(`after round ${round}: ${found}`);
      }
      if (faults.length > 20) break;
    }
  } finally {
    shelf.remove();
  }
  return { requests: rounds, statuses, faults };
}
