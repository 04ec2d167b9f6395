import { numberOf } from '../catalog/numberOf.ts';
import { type AttributeProfile, hasValueColumn, isIndexedAsText, isNumeric } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { normalizeCode, tokenize } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';
import { packNumbers, valueColumnBuilder } from './columns.ts';
import { packDeletions } from './deletionIndex.ts';
import { growingBytes, growingShorts, growingWords } from './growingArray.ts';
import { lastPosition, packPostings, valueGap } from './postings.ts';
import { packSections, type SectionArray } from './sections.ts';
import { byUnits, packStrings } from './stringTable.ts';

/** What the snapshot's header says of itself. */
export interface SnapshotMeta {
  readonly records: number;
  readonly families: number;
  readonly attributes: readonly AttributeProfile[];
}

/** Tokenised texts kept for reuse: a family's texts come again with every variant. */
const rememberedTexts = 20_000;

const sum = (counts: readonly number[]): Uint32Array => {
  const start = new Uint32Array(counts.length + 1);
  for (let at = 0; at < counts.length; at++) start[at + 1] = start[at]! + counts[at]!;
  return start;
};

/** Stems in order, and for each the terms that are its forms. */
function packStems(terms: readonly string[], eligible: Uint8Array): Record<string, SectionArray> {
  const forms = new Map<string, number[]>();
  for (let term = 0; term < terms.length; term++) {
    if (!eligible[term]) continue;
    const root = stem(terms[term]!);
    const known = forms.get(root);
    if (known) known.push(term);
    else forms.set(root, [term]);
  }
  const roots = [...forms.keys()].sort(byUnits);
  const lists = roots.map((root) => forms.get(root)!);
  return {
    ...packStrings('stems', roots),
    'stems.terms': Uint32Array.from(lists.flat()),
    'stems.offset': sum(lists.map((list) => list.length)),
  };
}

/** Texts in order with the number each had before: `NAME.text`, `NAME.start` and `NAME.of` (u32). */
function packLookup(name: string, texts: readonly string[]): Record<string, SectionArray> {
  const order = Uint32Array.from(texts.keys()).sort((a, b) => byUnits(texts[a]!, texts[b]!) || a - b);
  return {
    ...packStrings(
      name,
      Array.from(order, (index) => texts[index]!),
    ),
    [`${name}.of`]: order,
  };
}

export interface SnapshotBuilder {
  /** Takes the next record. A family's records must come one after another. */
  add(record: CatalogRecord): void;
  /** The finished snapshot, to be opened by `openSnapshot`. */
  finish(): SharedArrayBuffer;
}

/**
 * Builds a snapshot record by record. Every text attribute is indexed, searchable or not, so that the choice stays a
 * matter of the query. Cost: linear in the words; memory while building about 11 bytes an occurrence besides the result.
 */
export function snapshotBuilder(attributes: readonly AttributeProfile[]): SnapshotBuilder {
  if (attributes.length > 255) throw new Error('The index numbers attributes in one byte: 255 at most.');
  const termNumbers = new Map<string, number>();
  const eligibleEarly = growingBytes();
  const term = growingWords();
  const inRecord = growingWords();
  const inAttribute = growingBytes();
  const atPosition = growingShorts();
  const recordFamily = growingWords();
  const familyIds: string[] = [];
  const familyNumbers = new Map<string, number>();
  const skuTexts: string[] = [];
  const skuRecords = growingWords();
  const remembered = attributes.map(() => new Map<string, Uint32Array>());
  const valueColumns = attributes.map((profile) => (hasValueColumn(profile) ? valueColumnBuilder(profile.key) : null));
  const amounts = attributes.map((profile) => (isNumeric(profile) ? ([] as number[]) : null));
  let records = 0;

  const numberOfTerm = (token: string, correctable: boolean): number => {
    let number = termNumbers.get(token);
    if (number === undefined) {
      number = termNumbers.size;
      termNumbers.set(token, number);
      eligibleEarly.push(0);
    }
    if (correctable) eligibleEarly.view()[number] = 1;
    return number;
  };
  const termsOf = (attribute: number, text: string): Uint32Array => {
    const known = remembered[attribute]!.get(text);
    if (known) return known;
    const isCode = attributes[attribute]!.kind === 'code';
    const tokens = isCode ? [normalizeCode(text)].filter(Boolean) : tokenize(text);
    const numbers = Uint32Array.from(tokens, (token) => numberOfTerm(token, !isCode));
    if (remembered[attribute]!.size >= rememberedTexts) remembered[attribute]!.clear();
    remembered[attribute]!.set(text, numbers);
    return numbers;
  };
  const addTexts = (attribute: number, texts: readonly string[]): void => {
    let position = 0;
    for (const text of texts) {
      const numbers = termsOf(attribute, text);
      for (let at = 0; at < numbers.length; at++) {
        term.push(numbers[at]!);
        inRecord.push(records);
        inAttribute.push(attribute);
        atPosition.push(Math.min(position++, lastPosition));
      }
      position += valueGap;
    }
  };
  const familyOf = (id: string): number => {
    const last = familyIds.length - 1;
    if (familyIds[last] === id) return last;
    if (familyNumbers.has(id)) throw new Error(`The records of family ${id} do not come one after another.`);
    familyNumbers.set(id, familyIds.length);
    return familyIds.push(id) - 1;
  };

  return {
    add(record) {
      recordFamily.push(familyOf(record.familyId));
      const code = normalizeCode(record.sku);
      if (code) {
        skuTexts.push(code);
        skuRecords.push(records);
      }
      for (let attribute = 0; attribute < attributes.length; attribute++) {
        const profile = attributes[attribute]!;
        const value = profile.key === 'sku' ? record.sku || undefined : record.values[profile.key];
        const texts = textsOf(value);
        if (isIndexedAsText(profile)) addTexts(attribute, profile.kind === 'path' ? texts.slice(-1) : texts);
        valueColumns[attribute]?.add(texts);
        amounts[attribute]?.push(numberOf(value, profile.kind));
      }
      records++;
    },
    finish() {
      const byNumber = [...termNumbers.keys()];
      const order = Uint32Array.from(byNumber.keys()).sort((a, b) => byUnits(byNumber[a]!, byNumber[b]!));
      const sortedPlace = new Uint32Array(order.length);
      for (let at = 0; at < order.length; at++) sortedPlace[order[at]!] = at;
      const terms = Array.from(order, (number) => byNumber[number]!);
      const eligible = Uint8Array.from(order, (number) => eligibleEarly.view()[number]!);
      const occurrenceTerms = term.view();
      for (let at = 0; at < occurrenceTerms.length; at++) occurrenceTerms[at] = sortedPlace[occurrenceTerms[at]!]!;
      const families = familyIds.length;
      const ofRecord = recordFamily.view().slice();
      const familyStart = new Uint32Array(families + 1).fill(records);
      for (let record = records - 1; record >= 0; record--) familyStart[ofRecord[record]!] = record;
      const skus = packLookup('skus', skuTexts);
      const skuOf = skus['skus.of'] as Uint32Array;
      for (let at = 0; at < skuOf.length; at++) skuOf[at] = skuRecords.view()[skuOf[at]!]!;
      const meta: SnapshotMeta = { records, families, attributes };
      return packSections(meta, {
        ...packStrings('terms', terms),
        ...packStems(terms, eligible),
        ...packDeletions(terms, eligible),
        ...packPostings(
          {
            term: occurrenceTerms,
            record: inRecord.view(),
            attribute: inAttribute.view(),
            position: atPosition.view(),
          },
          terms.length,
        ),
        'record.family': ofRecord,
        'family.start': familyStart,
        ...packLookup('families', familyIds),
        ...skus,
        ...Object.assign({}, ...valueColumns.map((column) => column?.finish() ?? {})),
        ...Object.assign(
          {},
          ...amounts.map((list, attribute) =>
            list ? packNumbers(attributes[attribute]!.key, Float64Array.from(list), ofRecord, families) : {},
          ),
        ),
      });
    },
  };
}
