import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import type { Language } from '../text/languages.ts';
import { stem } from '../text/wordForms.ts';
import type { SnapshotMeta } from './buildSnapshot.ts';
import { openValueColumns, type ValueColumn } from './columns.ts';
import { type DeletionIndex, openDeletions } from './deletionIndex.ts';
import { openFamilyIds } from './familyIds.ts';
import { type NumberColumn, openNumberColumns } from './numberColumns.ts';
import { openPostings, type PostingArrays } from './postingArrays.ts';
import { openSections, type Sections } from './sections.ts';
import { openStrings, type SortedStringTable } from './stringTable.ts';

/**
 * An index opened for reading. Records and families are numbered from 0 in catalog order; a family's records are
 * neighbours. Nothing in it ever changes.
 */
export interface Snapshot {
  readonly records: number;
  readonly families: number;
  /** In the order in which postings number them. */
  readonly attributes: readonly AttributeProfile[];
  /** The language of its word forms. */
  readonly language: Language;
  readonly terms: SortedStringTable;
  readonly postings: PostingArrays;
  readonly deletions: DeletionIndex;
  readonly values: ReadonlyMap<string, ValueColumn>;
  readonly numbers: ReadonlyMap<string, NumberColumn>;
  /** Bytes of the whole index, patches included. */
  readonly bytes: number;
  readonly layers: readonly SharedArrayBuffer[];
  /** The arrays themselves, for patching only. */
  readonly sections: Sections;
  /** Family number by record; the family's owner file is this one, others read it record by record. */
  readonly recordFamily: Uint32Array;
  /** By family its first record, one more for the end. */
  readonly familyStart: Uint32Array;
  /** The terms that are forms of the same word as the token, the token's own term among them. */
  formsOf(token: string): number[];
  familyId(family: number): string;
  /** Number of a family id, or -1. */
  findFamily(id: string): number;
  /** Place of the family's id among all ids in order: what settles the last tie. */
  familyRank(family: number): number;
  /** The records [from, to) of a family. */
  recordsOf(family: number): readonly [number, number];
  /** The first record with this normalised part number, or -1. */
  findSku(code: string): number;
}

/** Opens a snapshot in place, with the patches laid over it in order. Answers null where the bytes are not one, so that the caller can build it anew. */
export function openSnapshot(...layers: readonly SharedArrayBuffer[]): Snapshot | null {
  const sections = openSections(...layers);
  if (!sections) return null;
  const { records, families, attributes, language = 'en' } = sections.meta as SnapshotMeta;
  const terms = openStrings(sections, 'terms');
  const stems = openStrings(sections, 'stems');
  const stemOffset = sections.u32('stems.offset');
  const stemTerms = sections.u32('stems.terms');
  const familyIds = openFamilyIds(layers[0]!, sections, families);
  const skus = openStrings(sections, 'skus');
  const skuRecord = sections.u32('skus.of');
  const recordFamily = sections.u32('record.family');
  const familyStart = sections.u32('family.start');
  return {
    records,
    families,
    attributes,
    language,
    terms,
    postings: openPostings(sections),
    deletions: openDeletions(sections, terms),
    values: openValueColumns(sections, attributes, recordFamily),
    numbers: openNumberColumns(sections, attributes, recordFamily),
    bytes: layers.reduce((sum, layer) => sum + layer.byteLength, 0),
    layers,
    sections,
    recordFamily,
    familyStart,
    formsOf(token) {
      const at = stems.find(stem(token, language));
      return at < 0 ? [] : Array.from(stemTerms.subarray(stemOffset[at], stemOffset[at + 1]));
    },
    familyId: familyIds.idOf,
    findFamily: familyIds.find,
    familyRank: familyIds.rankOf,
    recordsOf: (family) => [familyStart[family]!, familyStart[family + 1]!],
    findSku(code) {
      const at = skus.find(code);
      return at < 0 ? -1 : skuRecord[at]!;
    },
  };
}
