import { numberOf } from '../catalog/numberOf.ts';
import { type AttributeProfile, hasValueColumn, isIndexedAsText, isNumeric } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import type { Language } from '../text/languages.ts';
import { PlainText } from '../text/plainText.ts';
import { normalizeCode } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';
import { gatherColumn, packColumns } from './columns.ts';
import { packDeletions } from './deletionIndex.ts';
import { GatheredTexts } from './gatheredTexts.ts';
import { GrowingArray } from './growingArray.ts';
import { packNumbers } from './numberColumns.ts';
import { layPostings, mostRecords, placeOf, valueGap } from './postings.ts';
import { indexedTexts, wordsIn } from './readTexts.ts';
import { packSections, type SectionArray } from './sections.ts';
import { standOf } from './spot.ts';
import { packStrings } from './stringTable.ts';
import { TermTable } from './termTable.ts';

/** What the snapshot's header says of itself. */
export interface SnapshotMeta {
  readonly records: number;
  readonly families: number;
  readonly attributes: readonly AttributeProfile[];
  /** Whose word forms the stems are; absent: English. */
  readonly language?: Language;
}

const noText = -1;

const sum = (counts: readonly number[]): Uint32Array => {
  const start = new Uint32Array(counts.length + 1);
  for (let at = 0; at < counts.length; at++) start[at + 1] = start[at]! + counts[at]!;
  return start;
};

/** Stems in order, and for each the terms that are its forms. */
function packStems(terms: readonly string[], eligible: Uint8Array, language: Language): Record<string, SectionArray> {
  const forms = new Map<string, number[]>();
  for (let term = 0; term < terms.length; term++) {
    if (!eligible[term]) continue;
    const root = stem(terms[term]!, language);
    const known = forms.get(root);
    if (known) known.push(term);
    else forms.set(root, [term]);
  }
  const roots = [...forms.keys()].sort();
  const lists = roots.map((root) => forms.get(root)!);
  return {
    ...packStrings('stems', roots),
    'stems.terms': Uint32Array.from(lists.flat()),
    'stems.offset': sum(lists.map((list) => list.length)),
  };
}

/** Texts in order, each once, with the first number it had: `NAME.text`, `NAME.start` and `NAME.of` (u32). */
function packLookup(name: string, texts: readonly string[], numbers: ArrayLike<number>): Record<string, SectionArray> {
  const first = new Map<string, number>();
  for (let at = 0; at < texts.length; at++) if (!first.has(texts[at]!)) first.set(texts[at]!, numbers[at]!);
  // Without a comparison of its own, sorting texts compares UTF-16 units, as the string table wants.
  const order = [...first.keys()].sort();
  const of = new Uint32Array(order.length);
  for (let at = 0; at < order.length; at++) of[at] = first.get(order[at]!)!;
  return { ...packStrings(name, order), [`${name}.of`]: of };
}

export interface SnapshotBuilder {
  /** Takes the next record. A family's records must come one after another. */
  add(record: CatalogRecord): void;
  /**
   * The finished snapshot, to be opened by `openSnapshot`. It says `profiles` of its attributes where they are known
   * better by now: of the same attributes in the same order, kept alike.
   */
  finish(profiles?: readonly AttributeProfile[]): SharedArrayBuffer;
}

/**
 * Builds a snapshot record by record. Every text attribute is indexed, searchable or not, so that the choice stays a
 * matter of the query. Cost: linear in the words; memory while building about 8 bytes a word of
 * every different text, and while the postings are laid 8 more for each word of every record, besides the result.
 */
export function snapshotBuilder(attributes: readonly AttributeProfile[], language: Language = 'en'): SnapshotBuilder {
  if (attributes.length > 255) throw new Error('The index numbers attributes in one byte: 255 at most.');
  const table = new TermTable();
  const plain = new PlainText();
  /** By term in order of coming, 1 where it stands in more than codes: only such words have forms and corrections. */
  const inPlainText: number[] = [];
  const gathered = new GatheredTexts();
  const recordFamily = new GrowingArray();
  const familyIds: string[] = [];
  const familyNumbers = new Map<string, number>();
  const skuTexts: string[] = [];
  const skuRecords = new GrowingArray();
  /** By attribute that has a column of values, and by value there, the number of its text: it is looked up once for both. */
  const readValues = attributes.map((): number[] => []);
  /** The last text of each other attribute: a family's texts come again with every variant. */
  const lastTexts = attributes.map((): string | null => null);
  const lastRead = attributes.map(() => noText);
  const valueColumns = attributes.map((profile) => (hasValueColumn(profile) ? gatherColumn(profile.key) : null));
  const amounts = attributes.map((profile) => (isNumeric(profile) ? ([] as number[]) : null));
  const isText = attributes.map(isIndexedAsText);
  let records = 0;

  const note = (number: number, correctable: boolean): number => {
    if (number === inPlainText.length) inPlainText.push(0);
    if (correctable) inPlainText[number] = 1;
    return number;
  };
  /** Reads a text that has not come before; answers the number it has from now on. */
  const readText = (profile: AttributeProfile, text: string): number => {
    const isCode = profile.kind === 'code';
    if (!isCode && plain.read(text)) {
      const { units, start, words } = plain;
      for (let at = 0; at < words; at++)
        gathered.addWord(note(table.numberOf(units, start[at]!, start[at + 1]!), true), at, standOf(words, at));
      return gathered.end(words);
    }
    const { tokens, quantities } = wordsIn(profile, text);
    const words = tokens.length;
    const addTerm = (token: string, at: number, correctable: boolean): void =>
      gathered.addWord(note(table.numberOfText(token), correctable), at, standOf(words, at));
    for (let at = 0; at < words; at++) addTerm(tokens[at]!, at, !isCode);
    // A quantity stands where its number does, besides the words it is written in.
    for (const { token, at } of quantities) addTerm(token, at, true);
    return gathered.end(words);
  };
  const numberOfText = (attribute: number, text: string): number => {
    const column = valueColumns[attribute];
    if (column) {
      const reads = readValues[attribute]!;
      const value = column.numberOf(text);
      reads[value] ??= readText(attributes[attribute]!, text);
      return reads[value];
    }
    if (lastTexts[attribute] === text) return lastRead[attribute]!;
    const read = readText(attributes[attribute]!, text);
    lastTexts[attribute] = text;
    lastRead[attribute] = read;
    return read;
  };
  /** Most values are one text: no list is made of it for that. */
  const addTexts = (attribute: number, texts: readonly string[] | string): void => {
    const place = placeOf(records, attribute);
    if (typeof texts === 'string') {
      gathered.use(numberOfText(attribute, texts), place, 0);
      return;
    }
    let base = 0;
    for (const text of texts) {
      const read = numberOfText(attribute, text);
      gathered.use(read, place, base);
      base += gathered.wordsOf(read) + valueGap;
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
        const value = heldBy(record, profile.key);
        valueColumns[attribute]?.add(typeof value === 'string' ? value : textsOf(value));
        if (isText[attribute]) addTexts(attribute, typeof value === 'string' ? value : indexedTexts(profile, record));
        amounts[attribute]?.push(numberOf(value, profile.kind));
      }
      if (++records > mostRecords) throw new Error(`An index holds at most ${mostRecords} records.`);
    },
    finish(profiles = attributes) {
      // Without a comparison of its own, sorting texts compares UTF-16 units, as the string table wants.
      const terms = table.texts.slice().sort();
      const order = Uint32Array.from(terms, (text) => table.numberOfText(text));
      const eligible = Uint8Array.from(order, (number) => inPlainText[number]!);
      const families = familyIds.length;
      const ofRecord = recordFamily.view().slice();
      const familyStart = new Uint32Array(families + 1).fill(records);
      for (let record = records - 1; record >= 0; record--) familyStart[ofRecord[record]!] = record;
      const meta: SnapshotMeta = { records, families, attributes: profiles, language };
      const packed = {
        ...packStrings('terms', terms),
        ...packStems(terms, eligible, language),
        ...packDeletions(terms, eligible),
        'record.family': ofRecord,
        'family.start': familyStart,
        ...packLookup(
          'families',
          familyIds,
          familyIds.map((_, family) => family),
        ),
        ...packLookup('skus', skuTexts, skuRecords.view()),
        ...packColumns(
          valueColumns.flatMap((column) => column ?? []),
          records,
        ),
        ...Object.assign(
          {},
          ...amounts.map((list, attribute) =>
            list ? packNumbers(attributes[attribute]!.key, Float64Array.from(list), ofRecord, families) : {},
          ),
        ),
      };
      return packSections(meta, packed, layPostings(gathered.view(), order));
    },
  };
}
