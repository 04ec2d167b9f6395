import { useNavigate } from 'react-router';
import { ProductPicker } from '../parts/ProductPicker.tsx';
import { actOn } from '../state/planActs.ts';

/** Products that are marked as chosen already. */
const none: ReadonlySet<string> = new Set();

/** Finds a product and pins it first among the results of a search, whether or not its words find it. */
export function AddToResults({ query }: { readonly query: string }) {
  const go = useNavigate();
  return (
    <ProductPicker
      label="Add a product here"
      isSmall
      chosen={none}
      choose={(product) => actOn({ query, collection: '' }, [product], { act: 'pin', place: 1 }, (to) => void go(to))}
    />
  );
}
