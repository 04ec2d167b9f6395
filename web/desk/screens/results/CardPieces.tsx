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
import { withAllOf } from '../../../../core/setup/terms/pieces.ts';
import { Choice, Switch } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { PieceList } from './PieceList.tsx';

/** Of which setting each piece has, the field of the card that it is. */
const settingOf: Partial<Record<CardPiece, keyof CardArrangement>> = {
  ...{
    rating: 'rating',
    stock: 'stock',
    price: 'saving',
    details: 'labels',
    variants: 'variantsBy',
    basket: 'quantity',
  },
};

/** Filters whose values are names of one thing each. */
const namesValues: ReadonlySet<FilterKind> = new Set(variantFilterKinds);

/** What a card is made of: its picture, and below it the pieces in their order. */
export function CardPieces({
  card,
  name,
  isChanged,
  save,
}: {
  readonly card: CardArrangement;
  /** What it is called, where it is not the usual one. */
  readonly name?: string;
  /** Whether what is taken out of the card differs from what is published. */
  isChanged(of: (card: CardArrangement | undefined) => unknown): boolean;
  save(change: Partial<CardArrangement>): void;
}) {
  const where = name === undefined ? 'on cards' : `on the card “${name}”`;
  /** What of a piece may be unpublished: whether it is there, where, and its setting. */
  const ofPiece = (arrangement: CardArrangement | undefined, piece: CardPiece): unknown => {
    const place = arrangement?.pieces.findIndex((each) => each.piece === piece) ?? -1;
    const setting = settingOf[piece];
    return [place, arrangement?.pieces[place]?.on, setting && arrangement?.[setting]];
  };
  return (
    <>
      <div
        className={`${shelfRow(isChanged((of) => of?.second ?? false))} mb-[5px] flex flex-wrap items-center gap-x-4 px-3 py-2 text-[13px]`}
      >
        <b className="font-semibold">Picture</b>
        <Switch
          label={`A second picture ${where}`}
          shown="another one where the mouse points, of products that have several"
          isOn={card.second ?? false}
          change={(second) => save({ second })}
        />
      </div>
      <PieceList
        label={name === undefined ? 'Pieces of a card, in order' : `Pieces of the card “${name}”, in order`}
        pieces={withAllOf(cardPieces, card.pieces)}
        names={pieceNames}
        where={where}
        always={{ [alwaysOnCard]: 'always: it opens the product' }}
        isChanged={(piece) => isChanged((of) => ofPiece(of, piece))}
        save={(pieces) => save({ pieces })}
      >
        {(piece) => <Setting piece={piece} card={card} save={save} />}
      </PieceList>
    </>
  );
}

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
        <Choice
          label="How a rating is shown"
          value={card.rating}
          options={ratingForms.map((form) => [form, `as ${ratingNames[form]}`] as const)}
          change={(rating) => save({ rating })}
        />
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
