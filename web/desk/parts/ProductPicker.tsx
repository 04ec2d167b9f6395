import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { call } from '../../client/call.ts';
import { price } from '../../look/price.ts';
import { useTrial } from '../state/trial.ts';
import { Picker, PickerItem } from './Picker.tsx';
import { Picture } from './ProductLine.tsx';

interface Choice {
  readonly chosen: ReadonlySet<string>;
  choose(product: { id: string; title: string }): void;
}

/** Finds a product by what it is called and chooses it; it begins with what the trial search finds. */
export function ProductPicker({
  label,
  isSmall = false,
  chosen,
  choose,
}: Choice & {
  readonly label: string;
  /** Within a line of text. */
  readonly isSmall?: boolean;
}) {
  return (
    <Picker
      label={label}
      isSmall={isSmall}
      find="Find a product"
      placeholder="Type what the product is called, or its SKU"
    >
      {(typed, close) => (
        <Products
          typed={typed}
          chosen={chosen}
          choose={(product) => {
            choose(product);
            close();
          }}
        />
      )}
    </Picker>
  );
}

function Products({ typed, chosen, choose }: Choice & { readonly typed: string }) {
  const trial = useTrial((state) => state.query);
  const sought = typed || trial;
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['desk', 'pick', sought],
    queryFn: ({ signal }) => call('deskSearch', { query: { q: sought, limit: '12', typing: '1' }, signal }),
    placeholderData: keepPreviousData,
  });
  return (
    <>
      {error && <p className="p-3 text-wrong">{error.message}</p>}
      {data?.results.length === 0 && <p className="p-3 text-soft">Nothing is called that.</p>}
      {data?.results.map(({ familyId, title, brand, picture, currency, price: amount }) => (
        <PickerItem
          key={familyId}
          value={familyId}
          isChosen={chosen.has(familyId)}
          isStale={isPlaceholderData}
          choose={() => choose({ id: familyId, title })}
        >
          <Picture src={picture} />
          <span className="min-w-0 flex-1 truncate">
            {title} <span className="text-soft">{brand}</span>
          </span>
          {amount !== null && <span className="text-[13px] text-soft">{price(amount, currency)}</span>}
        </PickerItem>
      ))}
    </>
  );
}
