import { stem } from '../text/wordForms.ts';
import { gone, packDeletions, patchDeletions } from './deletionIndex.ts';
import { placeOf } from './postings.ts';
import type { SectionArray } from './sections.ts';
import type { Snapshot } from './snapshot.ts';
import { openStrings, packStrings } from './stringTable.ts';

/** By token, by place (record and attribute): the positions there from now on, or null where it stands no longer. */
export type PostingEdits = ReadonlyMap<string, ReadonlyMap<number, readonly number[] | null>>;

/** One term's postings after the edits. */
interface MergedTerm {
  readonly token: string;
  /** Its old number, or the number of the old term before which it now stands. */
  readonly at: number;
  readonly isNew: boolean;
  readonly places: readonly number[];
  readonly positions: readonly (readonly number[])[];
  readonly wasPlain: boolean;
  readonly isPlain: boolean;
}

const sum = (lengths: readonly number[]): number => lengths.reduce((total, length) => total + length, 0);

function mergeTerm(
  snapshot: Snapshot,
  token: string,
  edits: ReadonlyMap<number, readonly number[] | null>,
): MergedTerm {
  const { postings, terms, attributes } = snapshot;
  const found = terms.find(token);
  const places: number[] = [];
  const positions: (readonly number[])[] = [];
  const isPlainAt = (place: number): boolean => attributes[place & 255]!.kind !== 'code';
  let wasPlain = false;
  const left = [...edits].sort(([a], [b]) => a - b);
  let next = 0;
  const takeBefore = (place: number): void => {
    for (; next < left.length && left[next]![0] < place; next++) {
      const [at, own] = left[next]!;
      if (own) {
        places.push(at);
        positions.push(own);
      }
    }
  };
  if (found >= 0)
    for (let posting = postings.start[found]!; posting < postings.start[found + 1]!; posting++) {
      const place = placeOf(postings.record[posting]!, postings.attribute[posting]!);
      if (isPlainAt(place)) wasPlain = true;
      takeBefore(place);
      if (left[next]?.[0] === place) continue;
      places.push(place);
      positions.push(
        postings.positions.subarray(
          postings.positionStart[posting],
          postings.positionStart[posting + 1],
        ) as unknown as readonly number[],
      );
    }
  takeBefore(Number.POSITIVE_INFINITY);
  const at = found >= 0 ? found : terms.prefixRange(token)[0];
  return { token, at, isNew: found < 0, places, positions, wasPlain, isPlain: places.some(isPlainAt) };
}

/**
 * The sections of terms, postings, stems and deletions with some postings changed, as a fresh build has them. Cost: a
 * copy of the postings; terms that are not touched are moved in runs.
 */
export function patchPostings(snapshot: Snapshot, edits: PostingEdits): Record<string, SectionArray> {
  const { postings, terms, sections } = snapshot;
  const merged = [...edits]
    .map(([token, places]) => mergeTerm(snapshot, token, places))
    .filter(({ isNew, places }) => !isNew || places.length > 0)
    .sort((a, b) => a.at - b.at || Number(b.isNew) - Number(a.isNew) || (a.token < b.token ? -1 : 1));
  const born = merged.filter(({ isNew }) => isNew);
  const died = merged.filter(({ isNew, places }) => !isNew && places.length === 0);
  const count = terms.length + born.length - died.length;
  const old = merged.filter(({ isNew }) => !isNew);
  const oldPostings = sum(old.map(({ at }) => postings.start[at + 1]! - postings.start[at]!));
  const oldPositions = sum(
    old.map(
      ({ at }) => postings.positionStart[postings.start[at + 1]!]! - postings.positionStart[postings.start[at]!]!,
    ),
  );
  const total = postings.record.length - oldPostings + sum(merged.map(({ places }) => places.length));
  const totalPositions =
    postings.positions.length -
    oldPositions +
    sum(merged.flatMap(({ positions }) => positions.map(({ length }) => length)));

  const record = new Uint32Array(total);
  const attribute = new Uint8Array(total);
  const positionStart = new Uint32Array(total + 1);
  const positions = new Uint16Array(totalPositions);
  const start = new Uint32Array(count + 1);
  const termRecords = new Uint32Array(count);
  const renumbered = new Uint32Array(terms.length).fill(gone);
  const tokens =
    terms.length === count && born.length === 0 ? null : ([] as { from: number; to: number; token: string | null }[]);
  let term = 0;
  let posting = 0;
  let position = 0;
  let done = 0;

  /** Moves the untouched terms [from, to) over as they are. */
  const move = (from: number, to: number): void => {
    if (to <= from) return;
    const first = postings.start[from]!;
    const end = postings.start[to]!;
    const firstPosition = postings.positionStart[first]!;
    const endPosition = postings.positionStart[end]!;
    record.set(postings.record.subarray(first, end), posting);
    attribute.set(postings.attribute.subarray(first, end), posting);
    positions.set(postings.positions.subarray(firstPosition, endPosition), position);
    for (let at = first; at < end; at++)
      positionStart[posting + at - first] = postings.positionStart[at]! - firstPosition + position;
    for (let at = from; at < to; at++) {
      renumbered[at] = term;
      termRecords[term] = postings.termRecords[at]!;
      start[term++] = postings.start[at]! - first + posting;
    }
    posting += end - first;
    position += endPosition - firstPosition;
    tokens?.push({ from, to, token: null });
  };
  for (const { at, isNew, token, places, positions: own } of merged) {
    move(done, at);
    done = isNew ? at : at + 1;
    if (places.length === 0) continue;
    if (!isNew) renumbered[at] = term;
    start[term] = posting;
    let last = -1;
    let holding = 0;
    for (let index = 0; index < places.length; index++) {
      const place = places[index]!;
      if (place >>> 8 !== last) holding++;
      last = place >>> 8;
      record[posting] = last;
      attribute[posting] = place & 255;
      positionStart[posting++] = position;
      positions.set(own[index]!, position);
      position += own[index]!.length;
    }
    termRecords[term++] = holding;
    tokens?.push(isNew ? { from: 0, to: 0, token } : { from: at, to: at + 1, token: null });
  }
  move(done, terms.length);
  start[count] = posting;
  positionStart[total] = position;

  const patched: Record<string, SectionArray> = {
    'posting.record': record,
    'posting.attribute': attribute,
    'posting.positions': positionStart,
    positions,
    'posting.start': start,
    'term.records': termRecords,
  };
  const changed = merged.filter(
    ({ isNew, places, wasPlain, isPlain }) => isNew || places.length === 0 || wasPlain !== isPlain,
  );
  if (changed.length === 0) return patched;
  const numberOf = new Map(
    merged.filter(({ isNew, places }) => !isNew && places.length > 0).map(({ token, at }) => [token, renumbered[at]!]),
  );
  if (tokens) {
    const texts = tokens.flatMap(({ from, to, token }) =>
      token === null ? Array.from({ length: to - from }, (_, index) => terms.get(from + index)) : [token],
    );
    Object.assign(patched, packStrings('terms', texts));
    for (const [number, text] of texts.entries()) if (edits.has(text)) numberOf.set(text, number);
  }
  const filed = new Map(changed.filter(({ isPlain }) => isPlain).map(({ token }) => [numberOf.get(token)!, token]));
  const unfiled = new Set(
    changed
      .filter(({ isPlain, wasPlain, places }) => wasPlain && !isPlain && places.length > 0)
      .map(({ token }) => numberOf.get(token)!),
  );
  const stems = patchStems(snapshot, renumbered, unfiled, filed);
  Object.assign(patched, stems);
  const deletions = patchDeletions(sections, renumbered, unfiled, filed);
  return { ...patched, ...(deletions ?? allDeletions(snapshot, patched, count)) };
}

/** Deletions laid out anew from the patched terms: only when their number has passed a power of two. */
function allDeletions(
  snapshot: Snapshot,
  patched: Record<string, SectionArray>,
  count: number,
): Record<string, SectionArray> {
  const eligible = new Uint8Array(count);
  for (const term of patched['stems.terms'] as Uint32Array) eligible[term] = 1;
  const starts = (patched['terms.start'] ?? snapshot.sections.array('terms.start')) as Uint32Array;
  const units = (patched['terms.text'] ?? snapshot.sections.array('terms.text')) as Uint16Array;
  const texts = Array.from({ length: count }, (_, term) =>
    String.fromCharCode(...units.subarray(starts[term], starts[term + 1])),
  );
  return packDeletions(texts, eligible);
}

/** The stems with their terms numbered anew; a stem without terms is gone, a new one stands in order. */
function patchStems(
  { sections }: Snapshot,
  renumbered: Uint32Array,
  unfiled: ReadonlySet<number>,
  filed: ReadonlyMap<number, string>,
): Record<string, SectionArray> {
  const roots = openStrings(sections, 'stems');
  const offset = sections.u32('stems.offset');
  const terms = sections.u32('stems.terms');
  const lists = new Map<string, number[]>();
  for (let root = 0; root < roots.length; root++) {
    const list: number[] = [];
    for (let at = offset[root]!; at < offset[root + 1]!; at++) {
      const term = renumbered[terms[at]!]!;
      if (term !== gone && !unfiled.has(term)) list.push(term);
    }
    if (list.length > 0) lists.set(roots.get(root), list);
  }
  for (const [term, text] of filed) {
    const root = stem(text);
    const list = [...(lists.get(root) ?? []), term].sort((a, b) => a - b);
    lists.set(root, list);
  }
  const sorted = [...lists.keys()].sort();
  const offsets = new Uint32Array(sorted.length + 1);
  const all = new Uint32Array(sum([...lists.values()].map(({ length }) => length)));
  for (const [index, root] of sorted.entries()) {
    const list = lists.get(root)!;
    all.set(list, offsets[index]);
    offsets[index + 1] = offsets[index]! + list.length;
  }
  return { ...packStrings('stems', sorted), 'stems.terms': all, 'stems.offset': offsets };
}
