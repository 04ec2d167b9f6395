import { pick, seededRandom } from '../../core/base/random.ts';
import type { CatalogStore } from '../catalog/catalogStore.ts';
import type { FactChange } from '../catalog/facts.ts';
import type { Writer } from '../store/writes.ts';

/** A stand-in for a shop's stock system: every few seconds it changes some prices and stocks, through the same door. */
export interface SimulatedFeed {
  isOn(): boolean;
  /** Records changed since it was switched on. */
  changed(): number;
  set(isOn: boolean): Promise<void>;
}

const everyMilliseconds = 2000;
const recordsAtOnce = 5;

/** What a feed might say next: mostly stock going down by sales and up by deliveries, now and then a price. */
export function nextFacts(
  random: () => number,
  read: (ordinal: number) => { id: string; values: Readonly<Record<string, unknown>> },
  records: number,
): FactChange[] {
  return Array.from({ length: Math.min(recordsAtOnce, records) }, () => {
    const { id, values } = read(Math.floor(random() * records));
    const stock = typeof values.stock === 'number' ? values.stock : 10;
    const price = typeof values.price === 'number' ? values.price : null;
    if (price !== null && random() < 0.25)
      return { id, price: Math.max(0.05, Math.round(price * pick(random, [0.9, 0.95, 1.05, 1.1]) * 20) / 20) };
    return { id, stock: random() < 0.2 ? stock + 20 : Math.max(0, stock - 1 - Math.floor(random() * 4)) };
  });
}

export function openSimulatedFeed(options: {
  readonly storefront: string;
  readonly catalogs: CatalogStore;
  readonly writer: Pick<Writer, 'acceptFacts'>;
  readonly now: () => number;
  readonly seed: number;
}): SimulatedFeed {
  const { storefront, catalogs, writer, now } = options;
  const random = seededRandom(options.seed);
  let timer: NodeJS.Timeout | null = null;
  let changed = 0;
  const push = async (): Promise<void> => {
    const reader = catalogs.current();
    if (!reader) return;
    const facts = nextFacts(random, (ordinal) => reader.record(ordinal), reader.snapshot.records);
    changed += (await writer.acceptFacts(storefront, facts, now())).changed;
  };
  return {
    isOn: () => timer !== null,
    changed: () => changed,
    async set(isOn) {
      if (isOn === (timer !== null)) return;
      if (timer) clearInterval(timer);
      changed = isOn ? 0 : changed;
      // What cannot be written now is said again later: a feed goes on.
      timer = isOn ? setInterval(() => void push().catch(() => {}), everyMilliseconds) : null;
      timer?.unref();
      if (isOn) await push();
    },
  };
}
