import type { Sections } from './sections.ts';

/** Postings one after another, with one item a posting; see postings.ts for what each array holds. */
export interface PostingRows {
  /** The number of the first of them. */
  readonly first: number;
  readonly record: Uint32Array;
  readonly spot: Uint16Array;
  readonly positionStart: Uint32Array;
  readonly positions: Uint16Array;
}

/**
 * The postings as the matcher binds them. A term's postings have the numbers [start, end) and stand in one set of rows:
 * as the index was built, or, where a patch changed the term, in the patch's own, which are numbered on from there.
 */
export interface PostingArrays {
  readonly built: PostingRows;
  readonly patched: PostingRows;
  readonly start: Uint32Array;
  readonly end: Uint32Array;
  readonly termRecords: Uint32Array;
}

/** Sections of the rows as they are built, and of a patch's. */
export const rowSections = {
  built: {
    record: 'posting.record',
    spot: 'posting.spot',
    positionStart: 'posting.positions',
    positions: 'positions',
  },
  patched: {
    record: 'patched.record',
    spot: 'patched.spot',
    positionStart: 'patched.positionStart',
    positions: 'patched.positions',
  },
} as const;

const noRows = (first: number): PostingRows => ({
  first,
  record: new Uint32Array(0),
  spot: new Uint16Array(0),
  positionStart: new Uint32Array(1),
  positions: new Uint16Array(0),
});

function openRows(sections: Sections, which: keyof typeof rowSections, first: number): PostingRows {
  const names = rowSections[which];
  return {
    first,
    record: sections.u32(names.record),
    spot: sections.u16(names.spot),
    positionStart: sections.u32(names.positionStart),
    positions: sections.u16(names.positions),
  };
}

export function openPostings(sections: Sections): PostingArrays {
  const built = openRows(sections, 'built', 0);
  const start = sections.u32('posting.start');
  const isPatched = sections.has('posting.end');
  return {
    built,
    patched: isPatched ? openRows(sections, 'patched', built.record.length) : noRows(built.record.length),
    start,
    // As they are built, each term's postings end where the next one's begin.
    end: isPatched ? sections.u32('posting.end') : start.subarray(1),
    termRecords: sections.u32('term.records'),
  };
}

/** The rows in which a posting stands: those of one term, and of a list that begins with it, are the same. */
export const rowsWith = ({ built, patched }: PostingArrays, posting: number): PostingRows =>
  posting < patched.first ? built : patched;

export function recordAt(postings: PostingArrays, posting: number): number {
  const { record, first } = rowsWith(postings, posting);
  return record[posting - first]!;
}
export function spotAt(postings: PostingArrays, posting: number): number {
  const { spot, first } = rowsWith(postings, posting);
  return spot[posting - first]!;
}
/** How many postings a term has. */
export const sizeOf = ({ start, end }: PostingArrays, term: number): number => end[term]! - start[term]!;
