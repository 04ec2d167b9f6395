import { Fragment, type ReactNode } from 'react';
import type { Result } from '../../core/answer/answer.ts';
import type { ProductAct } from '../bridge/messages.ts';
import { later, useLater } from '../look/later.ts';
import { Banner, type ShownBanner } from './Banner.tsx';
import { CardBody } from './CardBody.tsx';
import { useShelfGrid } from './layout.tsx';
import type { ShelfAt } from './shelfKeys.ts';
import { useChosen } from './useChosen.ts';

/** What is done to products, and what moves them, comes only where they can be: in the desk. */
const shelfLabel = later(async () => (await import('./ShelfLabel.tsx')).ShelfLabel);
const chosenBar = later(async () => (await import('./ChosenBar.tsx')).ChosenBar);
const arrangedShelves = later(async () => (await import('./ArrangedShelves.tsx')).ArrangedShelves);

/** The results standing on shelves; in the desk a label hangs from the edge under each, with a grip to put it elsewhere by. */
export function Shelves({
  results,
  open,
  at,
  mayMove,
  banners,
  between,
  act,
  of,
}: {
  readonly results: readonly Result[];
  open(product: Result, place: number): void;
  readonly at: ShelfAt;
  /** Whether places are the search's own, and not an order that the shopper chose. */
  readonly mayMove: boolean;
  /** Those among the products. */
  readonly banners: readonly ShownBanner[];
  /** What stands over the whole width behind so many products of the first page. */
  readonly between: { readonly after: number; readonly content: ReactNode };
  /** What is done to products in the desk; null in the shop itself. */
  readonly act: ((products: readonly Result[], what: ProductAct) => void) | null;
  /** Which search or page they are of. */
  readonly of: string;
}) {
  const grid = useShelfGrid();
  const isArranged = act !== null && at !== 'everything' && mayMove;
  const { value: ShelfLabel } = useLater(shelfLabel, act !== null);
  const chosen = useChosen(results, of);
  const { value: ChosenBar } = useLater(chosenBar, act !== null && chosen.products.length > 0);
  /** With a product that is chosen the others are meant as well. */
  const meant = (result: Result): readonly Result[] => (chosen.has(result) ? chosen.products : [result]);
  const { value: ArrangedShelves } = useLater(arrangedShelves, isArranged);
  const className = `${grid.className} mt-2 [[aria-busy=true]_&_img]:opacity-70`;
  const standing = (result: Result, grip: ReactNode): ReactNode => (
    <>
      <CardBody card={result} open={() => open(result, result.place)} />
      <div className="h-1 bg-edge" />
      <div className={act ? 'flex h-[38px] items-start shelf-pad' : 'h-5'}>
        {act && ShelfLabel && (
          <ShelfLabel
            result={result}
            at={at}
            act={(what) => act(what.act === 'why' ? [result] : meant(result), what)}
            isChosen={chosen.has(result)}
            together={meant(result).length}
            choose={(is, upTo) => chosen.choose(result, is, upTo)}
          />
        )}
        {grip}
      </div>
    </>
  );
  /** The banners that stand before a place, counted from 1; those behind the last product stand before the next. */
  const next = (results.at(-1)?.place ?? 0) + 1;
  // Behind the last product where there are fewer.
  const isBetween = (place: number): boolean =>
    place === Math.min(between.after + 1, results[0]?.place === 1 ? next : -1);
  const before = (place: number): ReactNode => (
    <>
      {isBetween(place) && <li className="shelf-pad col-span-full pb-3 empty:hidden">{between.content}</li>}
      {banners
        .filter((banner) => banner.place === place)
        .map((banner) => (
          <li key={`banner/${banner.text}`} className="flex flex-col">
            <Banner banner={banner} isCard />
            <div className="h-1 bg-edge" />
            <div className={act ? 'h-[38px]' : 'h-5'} />
          </li>
        ))}
    </>
  );
  const still = (
    <ol part="results" className={className} style={grid.style}>
      {results.map((result) => (
        <Fragment key={result.familyId}>
          {before(result.place)}
          <li className="flex flex-col" data-product={result.familyId}>
            {standing(result, null)}
          </li>
        </Fragment>
      ))}
      {before(next)}
    </ol>
  );
  const bar = act && ChosenBar && <ChosenBar chosen={chosen} at={at} act={(what) => act(chosen.products, what)} />;
  if (!isArranged || !ArrangedShelves)
    return (
      <div className="shelf-room">
        {still}
        {bar}
      </div>
    );
  return (
    <div className="shelf-room">
      <ArrangedShelves
        results={results}
        className={className}
        style={grid.style}
        before={before}
        next={next}
        pin={(product, place) => act(meant(product), { act: 'pin', place })}
      >
        {standing}
      </ArrangedShelves>
      {bar}
    </div>
  );
}
