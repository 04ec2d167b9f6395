import { stem } from '../text/wordForms.ts';
import { gone, patchDeletions } from './deletionIndex.ts';
import { gatherRows } from './layRows.ts';
import { rowsWith } from './postingArrays.ts';
import { placeOf } from './postings.ts';
import type { Occurrences } from './readTexts.ts';
import type { SectionArray, ToLay } from './sections.ts';
import type { Snapshot } from './snapshot.ts';
import { attributeAt } from './spot.ts';
import { openStrings, patchStrings } from './stringTable.ts';

/** By token, by place (record and attribute): how it stands there from now on, or null where it does no longer. */
export type PostingEdits = ReadonlyMap<string, ReadonlyMap<number, Occurrences | null>>;

/** One posting of a term that comes, goes or changes. */
interface PlaceEdit {
  readonly place: number;
  /** The posting that stands there now, or the one before which a new one comes. */
  readonly at: number;
  readonly stands: boolean;
  readonly occurrences: Occurrences | null;
}

/** One term with what happens to its postings. */
interface TermEdit {
  readonly token: string;
  /** Its number, or the number of the term before which it will stand. */
  readonly at: number;
  readonly isNew: boolean;
  readonly edits: readonly PlaceEdit[];
  /** Postings and records holding it, after the edits. */
  readonly postings: number;
  readonly records: number;
  /** Whether it stands in more than codes, before and after. */
  readonly wasPlain: boolean;
  readonly isPlain: boolean;
}

/** Works out what happens to one term. Cost: a bisection an edit; long rows of postings are not walked. */
function termEdit(snapshot: Snapshot, token: string, places: ReadonlyMap<number, Occurrences | null>): TermEdit {
  const { postings, terms, attributes } = snapshot;
  const { start, end, termRecords } = postings;
  const found = terms.find(token);
  const from = found < 0 ? 0 : start[found]!;
  const to = found < 0 ? 0 : end[found]!;
  const { first, record, spot } = rowsWith(postings, from);
  const placeAt = (posting: number): number => placeOf(record[posting - first]!, attributeAt(spot[posting - first]!));
  /** The first posting of the term whose place is not below. */
  const bound = (place: number): number => {
    let low = from;
    let high = to;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (placeAt(middle) < place) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const edits = [...places]
    .sort(([a], [b]) => a - b)
    .map(([place, occurrences]): PlaceEdit => {
      const at = bound(place);
      return { place, at, stands: at < to && placeAt(at) === place, occurrences };
    })
    .filter(({ stands, occurrences }) => stands || occurrences !== null);
  const replaced = edits.filter(({ stands }) => stands);
  const left = edits.filter(({ occurrences }) => occurrences !== null);
  let records = found < 0 ? 0 : termRecords[found]!;
  for (const touched of new Set(edits.map(({ place }) => place >>> 8))) {
    const own = edits.filter(({ place }) => place >>> 8 === touched);
    const before = bound(placeOf(touched + 1, 0)) - bound(placeOf(touched, 0));
    const after =
      before - own.filter(({ stands }) => stands).length + own.filter(({ occurrences }) => occurrences !== null).length;
    records += Number(after > 0) - Number(before > 0);
  }
  const plain = (number: number): boolean => attributes[number]!.kind !== 'code';
  const goes = new Set(edits.flatMap(({ stands, occurrences, at }) => (stands && occurrences === null ? [at] : [])));
  let wasPlain = false;
  let isPlain = left.some(({ place }) => plain(place & 255));
  for (let posting = from; posting < to && !(wasPlain && isPlain); posting++)
    if (plain(attributeAt(spot[posting - first]!))) {
      wasPlain = true;
      if (!goes.has(posting)) isPlain = true;
    }
  return {
    token,
    at: found < 0 ? terms.prefixRange(token)[0] : found,
    isNew: found < 0,
    edits,
    postings: to - from - replaced.length + left.length,
    records,
    wasPlain,
    isPlain,
  };
}

export interface PatchedPostings {
  readonly arrays: Record<string, SectionArray>;
  /** The large sections, written where they are to stand. */
  readonly toLay: ToLay;
}

/**
 * The sections of terms, postings, stems and deletions with some postings changed: the terms whose postings are other ones
 * have them in rows of the patch's own, all others where they were. What opens says, term by term, what a fresh build
 * does. Cost: a copy of the changed terms' postings and of those of patches before, and a pass over the terms; the
 * dictionaries are copied only where a word comes or goes.
 */
export function patchPostings(snapshot: Snapshot, edits: PostingEdits): PatchedPostings {
  const { postings, terms, sections } = snapshot;
  const { built, patched: before } = postings;
  const changes = [...edits]
    .map(([token, places]) => termEdit(snapshot, token, places))
    .filter(({ isNew, postings: left }) => !isNew || left > 0)
    .sort((a, b) => a.at - b.at || Number(b.isNew) - Number(a.isNew) || (a.token < b.token ? -1 : 1));
  const inserted = changes.filter(({ isNew }) => isNew);
  const removed = changes.filter(({ isNew, postings: left }) => !isNew && left === 0);
  const count = terms.length + inserted.length - removed.length;
  const start = new Uint32Array(count);
  const end = new Uint32Array(count);
  const termRecords = new Uint32Array(count);
  const renumbered = new Uint32Array(terms.length).fill(gone);
  const rows = gatherRows();
  const first = built.record.length;
  let term = 0;
  let done = 0;
  /** Takes the untouched terms [done, to) over as they are. */
  const keepTerms = (to: number): void => {
    for (let at = done; at < to; at++) {
      renumbered[at] = term;
      termRecords[term] = postings.termRecords[at]!;
      const [from, until] = [postings.start[at]!, postings.end[at]!];
      start[term] = from < first ? from : first + rows.size();
      if (from >= first) rows.take(before, from, until);
      end[term] = start[term]! + until - from;
      term++;
    }
    done = Math.max(done, to);
  };
  for (const change of changes) {
    keepTerms(change.at);
    if (!change.isNew) done = change.at + 1;
    if (change.postings === 0) continue;
    if (!change.isNew) renumbered[change.at] = term;
    start[term] = first + rows.size();
    termRecords[term] = change.records;
    let from = change.isNew ? 0 : postings.start[change.at]!;
    const own = rowsWith(postings, from);
    for (const { place, at, stands, occurrences } of change.edits) {
      if (!change.isNew) rows.take(own, from, at);
      from = stands ? at + 1 : at;
      if (occurrences !== null) rows.add(place, occurrences);
    }
    if (!change.isNew) rows.take(own, from, postings.end[change.at]!);
    end[term++] = first + rows.size();
  }
  keepTerms(terms.length);
  const toLay = rows.toLay('patched');
  const patched: Record<string, SectionArray> = {
    'posting.start': start,
    'posting.end': end,
    'term.records': termRecords,
  };
  const filing = changes.filter(
    ({ isNew, postings: left, wasPlain, isPlain }) => isNew || left === 0 || wasPlain !== isPlain,
  );
  if (filing.length === 0) return { arrays: patched, toLay };
  if (inserted.length + removed.length > 0)
    Object.assign(
      patched,
      patchStrings(sections, 'terms', {
        inserted: inserted.map(({ at, token }) => ({ at, text: token })),
        gone: removed.map(({ at }) => at),
      }),
    );
  const numberOf = numbersOf(changes, renumbered);
  const filed = new Map(filing.filter(({ isPlain }) => isPlain).map(({ token }) => [numberOf.get(token)!, token]));
  const unfiled = new Set(
    filing
      .filter(({ isPlain, wasPlain, postings: left }) => wasPlain && !isPlain && left > 0)
      .map(({ token }) => numberOf.get(token)!),
  );
  Object.assign(patched, patchStems(snapshot, renumbered, unfiled, filed));
  return { arrays: { ...patched, ...patchDeletions(sections, renumbered, unfiled, filed) }, toLay };
}

/** New numbers of the terms that changed and are still there: a new one stands right before what came after it. */
function numbersOf(changes: readonly TermEdit[], renumbered: Uint32Array): Map<string, number> {
  const numbers = new Map<string, number>();
  let insertedSoFar = 0;
  let removedSoFar = 0;
  for (const { token, at, isNew, postings } of changes) {
    if (isNew) numbers.set(token, at + insertedSoFar++ - removedSoFar);
    else if (postings === 0) removedSoFar++;
    else numbers.set(token, renumbered[at]!);
  }
  return numbers;
}

/** The stems with their terms numbered anew; a stem without terms is gone, a new one stands in order. */
function patchStems(
  { sections, language }: Snapshot,
  renumbered: Uint32Array,
  unfiled: ReadonlySet<number>,
  filed: ReadonlyMap<number, string>,
): Record<string, SectionArray> {
  const roots = openStrings(sections, 'stems');
  const offset = sections.u32('stems.offset');
  const terms = sections.u32('stems.terms');
  const added = new Map<number, number[]>();
  const newRoots = new Map<string, number[]>();
  for (const [term, text] of [...filed].sort(([a], [b]) => a - b)) {
    const root = stem(text, language);
    const at = roots.find(root);
    if (at < 0) newRoots.set(root, [...(newRoots.get(root) ?? []), term]);
    else added.set(at, [...(added.get(at) ?? []), term]);
  }
  const inserted = [...newRoots]
    .map(([text, list]) => ({ at: roots.prefixRange(text)[0], text, list }))
    .sort((a, b) => a.at - b.at || (a.text < b.text ? -1 : 1));
  const all = new Uint32Array(terms.length + filed.size);
  const offsets = new Uint32Array(roots.length + inserted.length + 1);
  const goneRoots: number[] = [];
  const drops = unfiled.size > 0;
  let next = 0;
  let root = 0;
  let turn = 0;
  const insertUpTo = (before: number): void => {
    for (; turn < inserted.length && inserted[turn]!.at <= before; turn++) {
      offsets[root++] = next;
      for (const term of inserted[turn]!.list) all[next++] = term;
    }
  };
  for (let old = 0; old < roots.length; old++) {
    insertUpTo(old);
    const from = next;
    for (let at = offset[old]!; at < offset[old + 1]!; at++) {
      const term = renumbered[terms[at]!]!;
      if (term !== gone && !(drops && unfiled.has(term))) all[next++] = term;
    }
    const more = added.get(old);
    if (more) {
      for (const term of more) all[next++] = term;
      all.subarray(from, next).sort();
    }
    if (next === from) goneRoots.push(old);
    else offsets[root++] = from;
  }
  insertUpTo(roots.length);
  offsets[root] = next;
  return {
    ...patchStrings(sections, 'stems', { inserted, gone: goneRoots }),
    'stems.terms': all.slice(0, next),
    'stems.offset': offsets.slice(0, root + 1),
  };
}
