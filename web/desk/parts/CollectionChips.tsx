import { useCollections } from '../state/collections.ts';
import { ItemChips } from './ItemChips.tsx';

/** Collections that are chosen, each with a way to take it off, and the way to choose more. */
export function CollectionChips(props: {
  /** What choosing one more is called. */
  readonly label: string;
  readonly chosen: readonly string[];
  readonly most?: number;
  change(chosen: string[]): void;
}) {
  return <ItemChips {...props} find="Collections" known={useCollections()} />;
}
