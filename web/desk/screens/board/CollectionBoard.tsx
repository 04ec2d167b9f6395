import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import type { Result } from '../../../../core/answer/answer.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { counted } from '../../../look/price.ts';
import { Loading, LoadProblem, Nothing } from '../../parts/Screen.tsx';
import { step } from '../../state/edits.ts';
import { useRoom } from '../../state/room.ts';
import { type CollectionAnswer, madeNowOf, saveMade, useCollection } from '../content/made.ts';
import { Board } from './Board.tsx';
import { BoardTools } from './BoardTools.tsx';
import { permuted, putInOrder } from './boardOrder.ts';
import { mostCards, useBoardCards } from './useBoardCards.ts';

/** A collection's own order over the whole width. */
export function CollectionBoardScreen() {
  const { id = '' } = useParams();
  useRoom();
  const { data, error, refetch } = useCollection(id);
  if (error && !data) return <LoadProblem error={error} again={() => void refetch()} />;
  if (!data) return <Loading what="Reading the collection" />;
  return <CollectionBoard key={id} collection={data} />;
}

/** Cards in an order that was just made, before the server has told how they stand. */
function inOrder(cards: readonly Result[], order: readonly string[]): Result[] {
  const places = new Map(order.map((product, place) => [product, place]));
  const placeOf = ({ familyId }: Result): number => places.get(familyId) ?? order.length;
  return cards
    .map((card, at) => ({ card, at }))
    .sort((a, b) => placeOf(a.card) - placeOf(b.card) || a.at - b.at)
    .map(({ card }) => card);
}

function CollectionBoard({ collection }: { readonly collection: CollectionAnswer }) {
  const { id, title } = collection;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { data, error, refetch } = useBoardCards({ query: '', collection: id });
  const made = madeNowOf('collection', id);
  const isByHand = made.products !== undefined || (made.condition === undefined && collection.condition === null);
  const byHand = made.products ?? collection.chosen;
  const first = made.first ?? (made.condition || made.products ? [] : collection.first);
  const cards = data ? inOrder(data.results, isByHand ? byHand : first) : [];
  const order = cards.map(({ familyId }) => familyId);
  const tell = (message: string): void =>
    void toast(message, { id: 'board', action: { label: 'Undo', onClick: () => void step('undo') } });
  /** Keeps an order: of a collection by hand all of it, of one by rule what stands up to a place. */
  const keep = (next: readonly string[], upTo: number): void => {
    if (isByHand) {
      const shown = new Set(next);
      saveMade('collection', id, { products: [...next, ...byHand.filter((product) => !shown.has(product))] });
      return;
    }
    const count = Math.min(most.first, Math.max(upTo, first.length));
    saveMade('collection', id, { first: next.slice(0, count) });
    if (upTo > most.first) toast.error(`At most ${most.first} products stand first in a collection made by a rule`);
  };
  const put = (products: readonly string[], place: number): void => {
    keep(putInOrder(order, products, place), place - 1 + products.length);
    tell(`${counted(products.length, 'product')} put at place ${place}`);
  };
  const takeOff = (some: readonly string[]): void => {
    const gone = new Set(some);
    if (isByHand) {
      saveMade('collection', id, { products: byHand.filter((product) => !gone.has(product)) });
      tell(`${counted(some.length, 'product')} taken out of “${title}”`);
    } else {
      const left = first.filter((product) => !gone.has(product));
      saveMade('collection', id, { first: left.length > 0 ? left : undefined });
      tell(`${counted(some.length, 'product')} stand by the collection’s order`);
    }
    setChosen(new Set());
  };
  return (
    <>
      <Link to="/content" className="inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink">
        <ArrowLeft size={14} aria-hidden /> All collections and articles
      </Link>
      <div className="mt-1 mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <h1 className="mr-auto font-display font-semibold text-[25px] leading-tight tracking-tight">{title}</h1>
        <span className="text-[13px] text-soft">{isByHand ? 'Chosen by hand' : collection.rule}</span>
        <Link
          to={`/content/collections/${encodeURIComponent(id)}`}
          className="rounded-lg border bg-surface px-3.5 py-[6.5px] font-semibold hover:border-edge"
        >
          Beside the shop
        </Link>
      </div>
      {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
      {!error && !data && <Loading what="Fetching the products" />}
      {data && cards.length === 0 && (
        <Nothing>Nothing is in this collection yet. Add a product, or give it a rule.</Nothing>
      )}
      {data && (
        <Board
          label={`Products of ${title}`}
          cards={cards}
          gaps={data.gaps ?? []}
          isFixed={({ familyId }) => (isByHand ? byHand : first).includes(familyId)}
          chosen={chosen}
          setChosen={setChosen}
          put={put}
          lineText={
            isByHand
              ? 'These stand in the order you give them. Drag a card to its place; with Shift or Ctrl choose several.'
              : `From here on by ${collection.sort === '' ? 'relevance' : 'the collection’s order'}. What stands above the line is kept in place; drag a card there.`
          }
        >
          <BoardTools
            order={order}
            chosen={chosen}
            clear={() => setChosen(new Set())}
            put={put}
            sort={(sorted) => {
              const next = permuted(order, sorted);
              keep(next, Math.max(...sorted.map((product) => next.indexOf(product))) + 1);
              tell(`${counted(sorted.length, 'product')} sorted among their places`);
            }}
            known={new Set(isByHand ? byHand : first)}
            add={(product) =>
              isByHand
                ? saveMade('collection', id, { products: [product, ...byHand.filter((each) => each !== product)] })
                : put([product], 1)
            }
            acts={[{ label: isByHand ? 'Take out of the collection' : 'No longer in place', run: takeOff }]}
          />
        </Board>
      )}
      {data && data.total > mostCards && (
        <p className="mt-2 text-[13px] text-soft">
          The first {mostCards} of {counted(data.total, 'product')}.
        </p>
      )}
    </>
  );
}
