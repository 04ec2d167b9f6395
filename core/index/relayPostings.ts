import { gatherRows } from './layRows.ts';
import { type PostingArrays, rowsWith } from './postingArrays.ts';
import type { SectionArray, ToLay } from './sections.ts';

/** Whether patches changed so much that a copy of all postings is worth its memory. */
export const isMuchPatched = ({ built, patched }: PostingArrays): boolean =>
  patched.record.length > built.record.length / 2;

/** The postings of a patched index laid one after another again, as a fresh build has them. Cost: a copy of them. */
export function relayPostings(postings: PostingArrays): {
  readonly arrays: Record<string, SectionArray>;
  readonly toLay: ToLay;
} {
  const terms = postings.termRecords.length;
  const start = new Uint32Array(terms + 1);
  const rows = gatherRows();
  for (let term = 0; term < terms; term++) {
    start[term] = rows.size();
    const from = postings.start[term]!;
    rows.take(rowsWith(postings, from), from, postings.end[term]!);
  }
  start[terms] = rows.size();
  const [all, none] = [rows.toLay('built'), gatherRows().toLay('patched')];
  return {
    arrays: { 'posting.start': start, 'posting.end': start.slice(1), 'term.records': postings.termRecords },
    toLay: {
      sizes: { ...all.sizes, ...none.sizes },
      fill(sections) {
        all.fill(sections);
        none.fill(sections);
      },
    },
  };
}
