import { Plus, X } from 'lucide-react';
import { useLayoutEffect, useRef } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import type { CardArrangement } from '../../../../core/setup/parts/resultsPage/card.ts';
import {
  alwaysOnCard,
  type CardPiece,
  cardPieces,
  pieceNames,
  ratingForms,
  ratingNames,
  stockForms,
  stockNames,
  variantFilterKinds,
} from '../../../../core/setup/terms/cardTerms.ts';
import type { FilterKind } from '../../../../core/setup/terms/filterTerms.ts';
import { piecesOn, withAllOf } from '../../../../core/setup/terms/pieces.ts';
import { ProductPicture } from '../../../look/ProductPicture.tsx';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Choice, Switch } from '../../parts/Controls.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { ExamplePiece } from './ExamplePiece.tsx';

/** Fields of the card that are settings of a piece. */
const settingsOf: Partial<Record<CardPiece, readonly (keyof CardArrangement)[]>> = {
  rating: ['rating', 'ratings'],
  stock: ['stock'],
  price: ['saving'],
  details: ['labels'],
  variants: ['variantsBy'],
  basket: ['quantity'],
};

/** Filters whose values are names of one thing each. */
const namesValues: ReadonlySet<FilterKind> = new Set(variantFilterKinds);

/** A card with what a product has for each piece, each dragged to its place or moved by keyboard, put on and taken off. */
export function CardPieces({
  card,
  name,
  example,
  isChanged,
  save,
}: {
  readonly card: CardArrangement;
  /** A product that has it; null where none of those shown does, undefined as long as that is not known. */
  readonly example: Card | null | undefined;
  /** What it is called, where it is not the usual one. */
  readonly name?: string;
  /** Whether what is taken out of the card differs from what is published. */
  isChanged(of: (card: CardArrangement | undefined) => unknown): boolean;
  save(change: Partial<CardArrangement>): void;
}) {
  const root = useRef<HTMLDivElement>(null);
  /** The piece that was put on or taken off last: whoever did it by keyboard goes on where it is by now. */
  const moved = useRef<string | null>(null);
  useLayoutEffect(() => {
    const button = moved.current && root.current?.querySelector<HTMLElement>(`[data-piece="${moved.current}"]`);
    if (!button) return;
    button.focus();
    moved.current = null;
  });
  const cards = name === undefined ? 'cards' : `the card “${name}”`;
  const all = withAllOf(cardPieces, card.pieces);
  const [on, off] = [all.filter((each) => each.on), all.filter((each) => !each.on)];
  /** What of a piece may be unpublished: its place on the card, or that it has none, and its settings. */
  const ofPiece = (arrangement: CardArrangement | undefined, piece: CardPiece): unknown => {
    const settings = (settingsOf[piece] ?? []).map((setting) => arrangement?.[setting]);
    return [piecesOn(arrangement?.pieces ?? []).indexOf(piece), ...settings];
  };
  const pieceChanged = (piece: CardPiece): boolean => isChanged((of) => ofPiece(of, piece));
  const move = (from: number, to: number): void => {
    const next = [...on];
    next.splice(to, 0, ...next.splice(from, 1));
    save({ pieces: [...next, ...off] });
  };
  const put = (piece: CardPiece): void => {
    moved.current = `${piece} on`;
    save({ pieces: [...on, { piece, on: true }, ...off.filter((each) => each.piece !== piece)] });
  };
  const takeOff = (piece: CardPiece): void => {
    moved.current = `${piece} off`;
    save({ pieces: all.map((each) => (each.piece === piece ? { piece, on: false } : each)) });
  };
  return (
    <div ref={root}>
      {example === null && (
        <p role="status" className="mb-1.5 text-[13px] text-soft">
          No product of the trial search has this card. Try another search to see it with what a product has.
        </p>
      )}
      <div className="rounded-lg bg-surface p-3 shadow-[0_6px_18px_rgb(0_0_0/0.08)]">
        <div className={`${line(isChanged((of) => of?.second ?? false))} pb-2`}>
          <span className="grid h-[96px] w-[150px] shrink-0 place-items-center rounded-md bg-art">
            <ProductPicture src={example?.picture ?? null} className="h-[80px]" isSmall />
          </span>
          <span className="min-w-0 flex-1">
            <Switch
              label={`A second picture on ${cards}`}
              shown="another one where the mouse points"
              isOn={card.second ?? false}
              change={(second) => save({ second })}
            />
          </span>
          <span className={pieceName}>picture</span>
        </div>
        <SortableList
          label={name === undefined ? 'Pieces of a card, in order' : `Pieces of the card “${name}”, in order`}
          items={on.map(({ piece }) => ({ id: piece, name: pieceNames[piece], piece }))}
          move={(_, from, to) => move(from, to)}
        >
          {({ piece }, grip) => (
            <div className={line(pieceChanged(piece))}>
              {grip}
              <div className="flex min-w-0 flex-1 flex-wrap items-center justify-between gap-x-3 gap-y-1">
                <span className="min-w-0 max-w-full">
                  <ExamplePiece piece={piece} example={example} card={card} />
                </span>
                <Setting piece={piece} card={card} save={save} />
              </div>
              <span className={pieceName}>{pieceNames[piece]}</span>
              {piece === alwaysOnCard ? (
                <span className="size-[25px]" />
              ) : (
                <IconButton
                  label={`Take ${pieceNames[piece]} off ${cards}`}
                  className="p-1"
                  data-piece={`${piece} on`}
                  onClick={() => takeOff(piece)}
                >
                  <X size={15} aria-hidden />
                </IconButton>
              )}
            </div>
          )}
        </SortableList>
      </div>
      {off.length > 0 && (
        <p className="mt-2.5 flex flex-wrap items-center gap-1.5 text-[13px] text-soft">
          Not on the card
          {off.map(({ piece }) => (
            <Button
              key={piece}
              className={`rounded-full border-dashed px-2.5 py-0.5 text-[13px] ${pieceChanged(piece) ? 'border-changed' : ''}`}
              aria-label={`Put ${pieceNames[piece]} on ${cards}`}
              data-piece={`${piece} off`}
              onClick={() => put(piece)}
            >
              <Plus size={13} aria-hidden /> {pieceNames[piece]}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}

const pieceName = 'w-[78px] shrink-0 text-end text-[12px] text-soft leading-tight';
/** A line of the card that is arranged; marked where it is not published. */
const line = (isChanged: boolean): string =>
  `relative flex items-center gap-x-2.5 border-b border-dashed bg-surface py-1 ps-3 text-[13px] ${
    isChanged ? 'before:absolute before:inset-y-0 before:left-0 before:w-1 before:bg-changed' : ''
  }`;

function Setting({
  piece,
  card,
  save,
}: {
  readonly piece: CardPiece;
  readonly card: CardArrangement;
  save(change: Partial<CardArrangement>): void;
}) {
  switch (piece) {
    case 'rating':
      return (
        <span className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Choice
            label="How a rating is shown"
            value={card.rating}
            options={ratingForms.map((form) => [form, `as ${ratingNames[form]}`] as const)}
            change={(rating) => save({ rating })}
          />
          <Switch
            label="How many ratings there are"
            shown="with how many"
            isOn={card.ratings ?? false}
            change={(ratings) => save({ ratings })}
          />
        </span>
      );
    case 'stock':
      return (
        <Choice
          label="When availability is told"
          value={card.stock}
          options={stockForms.map((form) => [form, stockNames[form]] as const)}
          change={(stock) => save({ stock })}
        />
      );
    case 'price':
      return (
        <Switch
          label="What is saved"
          shown="with what is saved"
          isOn={card.saving}
          change={(saving) => save({ saving })}
        />
      );
    case 'details':
      return (
        <Switch
          label="Names of attributes"
          shown="each with its name"
          isOn={card.labels}
          change={(labels) => save({ labels })}
        />
      );
    case 'variants':
      return <ToldApart by={card.variantsBy} save={(variantsBy) => save({ variantsBy })} />;
    case 'basket':
      return (
        <Switch
          label="How many go into the basket"
          shown="with how many"
          isOn={card.quantity ?? false}
          change={(quantity) => save({ quantity })}
        />
      );
    default:
      return null;
  }
}

/** By which filter variants are told apart. */
function ToldApart({ by, save }: { readonly by: string | undefined; save(by: string | undefined): void }) {
  const { filters } = useDeskState().setup;
  const known = Object.entries(filters).filter(([, { kind }]) => namesValues.has(kind));
  const gone =
    by !== undefined && !known.some(([key]) => key === by) ? [[by, `by “${by}”, which is gone`] as const] : [];
  return (
    <Choice
      label="What variants are told apart by"
      value={by ?? ''}
      options={[
        ['', 'by the first filter they differ in'],
        ...known.map(([key, { label }]) => [key, `by ${label}`] as const),
        ...gone,
      ]}
      change={(key) => save(key || undefined)}
    />
  );
}
