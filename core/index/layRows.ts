import { type PostingRows, rowSections } from './postingArrays.ts';
import type { Occurrences } from './readTexts.ts';
import type { ToLay } from './sections.ts';
import { spotOf } from './spot.ts';

/** A run of old postings as they are, told by where they stand among their rows; or a single one that stands anew. */
type Move =
  | { readonly rows: PostingRows; readonly from: number; to: number }
  | { readonly place: number; readonly occurrences: Occurrences };

/** Rows being put together out of old ones and new ones, in order. */
export interface GatheredRows {
  /** How many there are so far. */
  size(): number;
  /** Takes the old postings with these numbers, which stand in the same rows. */
  take(rows: PostingRows, from: number, to: number): void;
  /** Takes one that stands anew: its record and attribute (`placeOf`), and how it stands there. */
  add(place: number, occurrences: Occurrences): void;
  /** The sections of them. Cost: a copy of what was taken. */
  toLay(which: keyof typeof rowSections): ToLay;
}

export function gatherRows(): GatheredRows {
  const moves: Move[] = [];
  let size = 0;
  let words = 0;
  return {
    size: () => size,
    take(rows, from, to) {
      if (to <= from) return;
      const [begin, end] = [from - rows.first, to - rows.first];
      const last = moves.at(-1);
      // Runs that follow one another are one.
      if (last && 'rows' in last && last.rows === rows && last.to === begin) last.to = end;
      else moves.push({ rows, from: begin, to: end });
      size += end - begin;
      words += rows.positionStart[end]! - rows.positionStart[begin]!;
    },
    add(place, occurrences) {
      moves.push({ place, occurrences });
      size++;
      words += occurrences.positions.length;
    },
    toLay(which) {
      const names = rowSections[which];
      return {
        sizes: {
          [names.record]: { type: 'u32', length: size },
          [names.spot]: { type: 'u16', length: size },
          [names.positionStart]: { type: 'u32', length: size + 1 },
          [names.positions]: { type: 'u16', length: words },
        },
        fill: (laid) =>
          makeMoves(moves, {
            record: laid[names.record] as Uint32Array,
            spot: laid[names.spot] as Uint16Array,
            positionStart: laid[names.positionStart] as Uint32Array,
            positions: laid[names.positions] as Uint16Array,
          }),
      };
    },
  };
}

function makeMoves(moves: readonly Move[], into: Omit<PostingRows, 'first'>): void {
  const { record, spot, positionStart, positions } = into;
  let posting = 0;
  let position = 0;
  for (const move of moves)
    if ('rows' in move) {
      const { rows, from, to } = move;
      const firstPosition = rows.positionStart[from]!;
      const lastPosition = rows.positionStart[to]!;
      record.set(rows.record.subarray(from, to), posting);
      spot.set(rows.spot.subarray(from, to), posting);
      positions.set(rows.positions.subarray(firstPosition, lastPosition), position);
      const starts = rows.positionStart;
      const shift = position - firstPosition;
      for (let at = from; at < to; at++) positionStart[posting++] = starts[at]! + shift;
      position += lastPosition - firstPosition;
    } else {
      const { place, occurrences } = move;
      record[posting] = place >>> 8;
      spot[posting] = spotOf(place & 255, occurrences.stand);
      positionStart[posting++] = position;
      positions.set(occurrences.positions, position);
      position += occurrences.positions.length;
    }
  positionStart[posting] = position;
}
