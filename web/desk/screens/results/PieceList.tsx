import type { ReactNode } from 'react';
import type { Pieces } from '../../../../core/setup/terms/pieces.ts';
import { Switch } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';

const asSentence = (name: string): string => name[0]!.toUpperCase() + name.slice(1);

/** Pieces in an order: each is dragged to its place, and switched on and off. */
export function PieceList<Piece extends string>({
  label,
  pieces,
  names,
  where,
  always,
  isChanged,
  save,
  children = () => null,
}: {
  readonly label: string;
  readonly pieces: Pieces<Piece>;
  readonly names: Readonly<Record<Piece, string>>;
  /** As it is said of a piece: “Rating on cards”. */
  readonly where: string;
  /** Why a piece is always there; undefined where it need not be. */
  readonly always: Partial<Readonly<Record<Piece, string>>>;
  isChanged(piece: Piece): boolean;
  save(pieces: { piece: Piece; on: boolean }[]): void;
  /** What else is set of a piece that is on. */
  readonly children?: (piece: Piece) => ReactNode;
}) {
  const inOrder = (from: number, to: number): { piece: Piece; on: boolean }[] => {
    const next = [...pieces];
    next.splice(to, 0, ...next.splice(from, 1));
    return next;
  };
  return (
    <SortableList
      label={label}
      items={pieces.map(({ piece, on }) => ({ id: piece, name: names[piece], piece, on }))}
      move={(_, from, to) => save(inOrder(from, to))}
    >
      {({ piece, on }, grip) => (
        <div
          className={`${shelfRow(isChanged(piece))} flex flex-wrap items-center gap-x-4 gap-y-1.5 px-3 py-2 text-[13px]`}
        >
          {grip}
          <b className="min-w-[150px] font-semibold">{asSentence(names[piece])}</b>
          {always[piece] !== undefined ? (
            <span className="text-soft">{always[piece]}</span>
          ) : (
            <Switch
              label={`${asSentence(names[piece])} ${where}`}
              isOn={on}
              change={(isOn) => save(pieces.map((each) => (each.piece === piece ? { ...each, on: isOn } : each)))}
            />
          )}
          {on && children(piece)}
        </div>
      )}
    </SortableList>
  );
}
