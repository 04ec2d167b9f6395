import { BasketCount } from './BasketCount.tsx';
import { MarkCounts } from './MarkCounts.tsx';

/** How much a shopper keeps: on their lists, and in the basket. */
export function KeptCounts() {
  return (
    <div className="flex items-center gap-x-4">
      <MarkCounts />
      <BasketCount />
    </div>
  );
}
