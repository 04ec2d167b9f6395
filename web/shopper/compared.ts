import type { StoreApi } from 'zustand/vanilla';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { type Asked, createQuestion } from './question.ts';
import type { ShopClient } from './shopClient.ts';

/** What some products are. */
export interface ComparedQuestion {
  readonly state: StoreApi<Asked<readonly ProductDetail[]>>;
  ask(products: readonly string[]): void;
  stop(): void;
}

/** Several products as they are now, without those that are gone; fails where none could be asked for. */
async function productsOf(
  client: ShopClient,
  products: readonly string[],
  signal: AbortSignal,
): Promise<readonly ProductDetail[]> {
  const answers = await Promise.allSettled(products.map((id) => client.product(id, signal)));
  const found = answers.flatMap((answer) => (answer.status === 'fulfilled' ? [answer.value] : []));
  const [failed] = answers.flatMap((answer) => (answer.status === 'rejected' ? [answer.reason as unknown] : []));
  if (found.length === 0 && failed !== undefined) throw failed;
  return found;
}

/** Asks what some products are, to stand side by side; what was asked a moment ago is not asked again. */
export function createCompared(client: () => ShopClient | null, now: () => number): ComparedQuestion {
  const compared = createQuestion<readonly ProductDetail[]>({ freshFor: 2000, now });
  return {
    state: compared.state,
    stop: compared.stop,
    ask(products) {
      const from = client();
      if (!from) return;
      compared.ask(JSON.stringify([products, from.name]), (signal) => productsOf(from, products, signal), false);
    },
  };
}
