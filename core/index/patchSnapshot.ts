import { numberOf } from '../catalog/numberOf.ts';
import { hasValueColumn, isIndexedAsText, isNumeric } from '../catalog/profileAttributes.ts';
import { type AttributeValue, type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import { packNumbers } from './numberColumns.ts';
import { patchColumns } from './patchColumns.ts';
import { patchPostings } from './patchPostings.ts';
import { placeOf } from './postings.ts';
import { type Occurrences, occurrencesIn } from './readTexts.ts';
import { packSections, type SectionArray } from './sections.ts';
import type { Snapshot } from './snapshot.ts';

/** One record as the snapshot has it and as it is now; its id, its family and its part number stay what they are. */
export interface RecordChange {
  readonly ordinal: number;
  readonly before: CatalogRecord;
  readonly after: CatalogRecord;
}

const isSame = (a: AttributeValue | undefined, b: AttributeValue | undefined): boolean =>
  a === b || (Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((text, at) => text === b[at]));

/**
 * The sections that changed records change, to be laid over the snapshot's layers: what opens from them says what a fresh
 * build of the changed catalog does with the same attribute profiles, and is that array by array once its postings are laid
 * one after another again (relayPostings.ts). Null where nothing changes.
 *
 * Cost: for a changed price or stock a copy of that attribute's numbers; for changed words a copy of these
 * words' postings, for changed values a pass over the value columns. It never reads records that did not change.
 */
export function patchSnapshot(snapshot: Snapshot, changes: readonly RecordChange[]): SharedArrayBuffer | null {
  const { attributes, records, families, recordFamily, sections } = snapshot;
  const edits = new Map<string, Map<number, Occurrences | null>>();
  const texts = new Map<string, Map<number, readonly string[]>>();
  const amounts = new Map<string, Float64Array>();
  const editOf = (token: string): Map<number, Occurrences | null> => {
    let known = edits.get(token);
    if (!known) {
      known = new Map();
      edits.set(token, known);
    }
    return known;
  };
  for (const { ordinal, before, after } of changes)
    for (const [attribute, profile] of attributes.entries()) {
      const { key } = profile;
      if (isSame(heldBy(before, key), heldBy(after, key))) continue;
      if (isIndexedAsText(profile)) {
        const place = placeOf(ordinal, attribute);
        const now = occurrencesIn(profile, after);
        for (const token of occurrencesIn(profile, before).keys()) if (!now.has(token)) editOf(token).set(place, null);
        for (const [token, occurrences] of now) editOf(token).set(place, occurrences);
      }
      if (hasValueColumn(profile)) {
        const known = texts.get(key) ?? new Map<number, readonly string[]>();
        texts.set(key, known.set(ordinal, textsOf(heldBy(after, key))));
      }
      if (isNumeric(profile)) {
        let column = amounts.get(key);
        if (!column) {
          column = sections.f64(`numbers.${key}`).slice();
          amounts.set(key, column);
        }
        column[ordinal] = numberOf(heldBy(after, key), profile.kind);
      }
    }
  const postings = edits.size > 0 ? patchPostings(snapshot, edits) : null;
  const patched: Record<string, SectionArray> = {
    ...postings?.arrays,
    ...(texts.size > 0 ? patchColumns(sections, attributes, texts, records) : {}),
    ...Object.assign({}, ...[...amounts].map(([key, column]) => packNumbers(key, column, recordFamily, families))),
  };
  return Object.keys(patched).length === 0 ? null : packSections(sections.meta, patched, postings?.toLay);
}
