import type { Result } from '../../core/answer/answer.ts';
import type { ProductAct } from '../bridge/messages.ts';
import { CardBody } from './CardBody.tsx';
import { ShelfLabel } from './ShelfLabel.tsx';
import { noteOutcome } from './shopperLog.ts';

/** The results standing on shelves; in the desk a label hangs from the edge under each. */
export function Shelves({
  results,
  isStale,
  open,
  hasSearch,
  act,
}: {
  readonly results: readonly Result[];
  readonly isStale: boolean;
  open(product: Result): void;
  readonly hasSearch: boolean;
  readonly act: ((product: Result, what: ProductAct) => void) | null;
}) {
  return (
    <ol
      className={`mt-2 -mx-[7px] grid grid-cols-2 min-[500px]:grid-cols-3 xl:grid-cols-4 ${isStale ? 'opacity-70' : ''}`}
    >
      {results.map((result) => (
        <li key={result.familyId} className="flex flex-col" data-product={result.familyId}>
          <CardBody
            card={result}
            open={() => {
              open(result);
              void noteOutcome('click', result.familyId, result.place);
            }}
          />
          <div className="h-1 bg-edge" />
          <div className={act ? 'h-[38px] px-[7px]' : 'h-5'}>
            {act && <ShelfLabel result={result} hasSearch={hasSearch} act={(what) => act(result, what)} />}
          </div>
        </li>
      ))}
    </ol>
  );
}
