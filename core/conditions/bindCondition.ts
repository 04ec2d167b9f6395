import { dayNumber } from '../base/day.ts';
import { levelMark } from '../catalog/levels.ts';
import type { ValueColumn } from '../index/columns.ts';
import { perColumns } from '../index/perColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { stockAttributes, stockOf } from '../index/stock.ts';
import type { Condition, Test, TestGroup } from '../setup/terms/condition.ts';
import { sameValue } from '../values/valueGroups.ts';
import { type Asked, type Members, onDay } from './asked.ts';
import { combined, complement, emptySet, type RecordSet, setOf } from './recordSet.ts';

/** Sets kept for each index: those of 500 rules with a few tests each take 25 MB of 100,000 records. */
const setsKept = 2000;
const sets = perColumns<RecordSet>(setsKept);
const names = perColumns<readonly string[]>(40);

/** The texts of a column as conditions compare them, by value number. Worked out once a column. */
const comparedNames = (snapshot: Snapshot, attribute: string, column: ValueColumn): readonly string[] =>
  names(snapshot, [attribute], 'compared', () =>
    Array.from({ length: column.size }, (_, value) => sameValue(column.name(value))),
  );

/** Who has each value of a column: those of value v are `records[start[v]]` up to `records[start[v + 1]]`, ascending. */
interface Holders {
  readonly start: Uint32Array;
  readonly records: Uint32Array;
}
const holders = perColumns<Holders>(40);
/** Turns a column round, once as long as it stays. Cost: two passes over the records. */
const holdersOf = (snapshot: Snapshot, attribute: string, column: ValueColumn): Holders =>
  holders(snapshot, [attribute], 'holders', () => {
    const start = new Uint32Array(column.size + 1);
    for (let record = 0; record < snapshot.records; record++)
      column.each(record, (value) => {
        start[value + 1]!++;
      });
    for (let value = 0; value < column.size; value++) start[value + 1]! += start[value]!;
    const next = start.slice();
    const records = new Uint32Array(start[column.size]!);
    for (let record = 0; record < snapshot.records; record++)
      column.each(record, (value) => {
        records[next[value]!++] = record;
      });
    return { start, records };
  });

/** The records that have a value of those meant. Cost: a look at each value, and at the records that have one. */
function withValues(
  snapshot: Snapshot,
  attribute: string,
  column: ValueColumn,
  isMeant: (text: string) => boolean,
): RecordSet {
  const { start, records } = holdersOf(snapshot, attribute, column);
  const set = emptySet(snapshot.records);
  for (const [value, text] of comparedNames(snapshot, attribute, column).entries())
    if (isMeant(text))
      for (let at = start[value]!; at < start[value + 1]!; at++) set[records[at]! >>> 5]! |= 1 << (records[at]! & 31);
  return set;
}

type CollectionTest = Extract<Test, { how: 'inCollection' | 'notInCollection' }>;
type Named = Exclude<Test, { how: 'inStock' | 'soldOut' | 'reduced' } | CollectionTest>;
type TextTest = Extract<Test, { how: 'is' | 'isNot' | 'contains' | 'startsWith' }>;
const isOfTexts = (test: Test): test is TextTest =>
  test.how === 'is' || test.how === 'isNot' || test.how === 'contains' || test.how === 'startsWith';

/** Whether a text, as conditions compare it, is one of some values, or stands below one of them in a path. */
function isOneOf(values: readonly string[], isPath: boolean): (text: string) => boolean {
  const wanted = new Set(values.map(sameValue));
  if (!isPath) return (text) => wanted.has(text);
  const mark = sameValue(levelMark);
  return (text) => {
    if (wanted.has(text)) return true;
    const levels = text.split(` ${mark} `);
    return levels.some((_, at) => wanted.has(levels.slice(0, at + 1).join(` ${mark} `)));
  };
}

/** The records that meet a test of an attribute's texts; none where the catalog has no values of it. */
function byTexts(snapshot: Snapshot, test: TextTest): RecordSet {
  const { attribute, how } = test;
  const column = snapshot.values.get(attribute);
  if (!column) return emptySet(snapshot.records);
  const isPath = snapshot.attributes.some(({ key, kind }) => key === attribute && kind === 'path');
  const sought = 'text' in test ? sameValue(test.text) : '';
  const isMeant =
    'values' in test
      ? isOneOf(test.values, isPath)
      : (text: string): boolean => (how === 'contains' ? text.includes(sought) : text.startsWith(sought));
  const met = withValues(snapshot, attribute, column, isMeant);
  return how === 'isNot' ? complement(met, snapshot.records) : met;
}

/** The record's test over an attribute's amounts, or of having any, or null where the catalog has nothing to hold it to. */
function namedTest(
  snapshot: Snapshot,
  test: Exclude<Named, TextTest>,
  today: number,
): ((record: number) => boolean) | null {
  const { attribute, how } = test;
  const column = snapshot.values.get(attribute);
  const numbers = snapshot.numbers.get(attribute);
  if (how === 'hasValue' || how === 'hasNone') {
    const wanted = how === 'hasValue';
    if (column) return (record) => column.first(record) >= 0 === wanted;
    return numbers ? (record) => Number.isNaN(numbers.ofRecord(record)) !== wanted : null;
  }
  if (!numbers) return null;
  if (how === 'lastDays') return (record) => numbers.ofRecord(record) >= today - test.days;
  if (how === 'before' || how === 'after') {
    const day = dayNumber(test.day);
    return how === 'before' ? (record) => numbers.ofRecord(record) < day : (record) => numbers.ofRecord(record) > day;
  }
  const { from, to } = test;
  return (record) => {
    const amount = numbers.ofRecord(record);
    return !Number.isNaN(amount) && (from === null || amount >= from) && (to === null || amount <= to);
  };
}

const isGroup = (part: Test | TestGroup): part is TestGroup => 'match' in part;
const testsIn = ({ tests }: Condition): Test[] => tests.flatMap((part) => (isGroup(part) ? part.tests : [part]));

const isOfCollections = (test: Test): test is CollectionTest =>
  test.how === 'inCollection' || test.how === 'notInCollection';
/** The collections a test names that there are. */
const membersOf = (test: Test, { collections }: Asked): Members[] =>
  isOfCollections(test) ? test.collections.flatMap((id) => collections.get(id) ?? []) : [];

/** Collections by number: an edit makes a new one of what it changes. */
const numbers = new WeakMap<Members, number>();
let last = 0;
function numberOf(members: Members): number {
  const known = numbers.get(members) ?? ++last;
  numbers.set(members, known);
  return known;
}

/** What some tests depend on besides the catalog, as a text. */
function changesWith(tests: readonly Test[], asked: Asked): string {
  const members = tests.flatMap((test) => membersOf(test, asked));
  const isOfDay = tests.some(({ how }) => how === 'lastDays');
  const theirs = members.some(({ condition }) => condition && testsIn(condition).some(({ how }) => how === 'lastDays'));
  return [isOfDay || theirs ? asked.today : '', ...members.map(numberOf)].join(' ');
}

/** The attributes whose values and amounts decide a test. */
function readBy(test: Test, asked: Asked): readonly string[] {
  if (test.how === 'inStock' || test.how === 'soldOut') return stockAttributes;
  if (isOfCollections(test))
    return membersOf(test, asked).flatMap(({ condition }) =>
      condition ? testsIn(condition).flatMap((own) => readBy(own, onDay(asked.today))) : [],
    );
  return test.how === 'reduced' ? ['price', 'former_price'] : [test.attribute];
}

/** The record's test, or null where the catalog has nothing to hold it to. */
function testOf(
  snapshot: Snapshot,
  test: Exclude<Test, TextTest | CollectionTest>,
  today: number,
): ((record: number) => boolean) | null {
  switch (test.how) {
    case 'inStock':
    case 'soldOut': {
      const wanted = test.how === 'inStock' ? 1 : 0;
      const { byRecord } = stockOf(snapshot);
      return (record) => byRecord[record] === wanted;
    }
    case 'reduced': {
      const price = snapshot.numbers.get('price');
      const former = snapshot.numbers.get('former_price');
      return price && former ? (record) => former.ofRecord(record) > price.ofRecord(record) : null;
    }
    default:
      return namedTest(snapshot, test, today);
  }
}

/** The records in a collection. Cost: what binding its condition costs, or a look at each product chosen by hand. */
export function recordsIn(snapshot: Snapshot, { condition, products }: Members, today: number): RecordSet {
  if (condition) return bindCondition(snapshot, condition, onDay(today));
  const set = emptySet(snapshot.records);
  for (const product of products) {
    const family = snapshot.findFamily(product);
    if (family < 0) continue;
    const [from, to] = snapshot.recordsOf(family);
    for (let record = from; record < to; record++) set[record >>> 5]! |= 1 << (record & 31);
  }
  return set;
}

/** The records in any of some collections, or in none of them; nothing where there is none of those named. */
function byCollections(snapshot: Snapshot, test: CollectionTest, asked: Asked): RecordSet {
  const named = membersOf(test, asked).map((members) => recordsIn(snapshot, members, asked.today));
  if (named.length === 0) return emptySet(snapshot.records);
  const met = combined(named, 'any');
  return test.how === 'notInCollection' ? complement(met, snapshot.records) : met;
}

/** The records that meet one test, worked out once as long as catalog and test stay. */
function bindTest(snapshot: Snapshot, test: Test, asked: Asked): RecordSet {
  const { records } = snapshot;
  return sets(snapshot, readBy(test, asked), `${JSON.stringify(test)} ${changesWith([test], asked)}`, () => {
    if (isOfTexts(test)) return byTexts(snapshot, test);
    if (isOfCollections(test)) return byCollections(snapshot, test, asked);
    const passes = testOf(snapshot, test, asked.today);
    return passes ? setOf(records, passes) : emptySet(records);
  });
}

/**
 * The records that meet a condition: variants, each by what it has itself. A test of an attribute that the catalog does not
 * have, or has no values or amounts of, and one of collections that are gone, is met by nothing, whichever way it compares,
 * so that a rule whose attribute is gone does nothing. Cost: a pass over the records for each test that is new, else a pass
 * over the set's items.
 */
export function bindCondition(snapshot: Snapshot, condition: Condition, asked: Asked): RecordSet {
  const tests = testsIn(condition);
  const attributes = [...new Set(tests.flatMap((test) => readBy(test, asked)))];
  return sets(snapshot, attributes, `${JSON.stringify(condition)} ${changesWith(tests, asked)}`, () =>
    combineTests(snapshot, condition, asked),
  );
}

function combineTests(snapshot: Snapshot, { match, tests }: Condition, asked: Asked): RecordSet {
  const parts = tests.map((part) =>
    isGroup(part)
      ? combined(
          part.tests.map((test) => bindTest(snapshot, test, asked)),
          part.match,
        )
      : bindTest(snapshot, part, asked),
  );
  return combined(parts, match);
}

/** The collections a condition asks about that there are none of, by id. */
export function missingCollections(condition: Condition, { collections }: Asked): string[] {
  const named = testsIn(condition).flatMap((test) => (isOfCollections(test) ? test.collections : []));
  return [...new Set(named)].filter((id) => !collections.has(id));
}

/** The attributes a condition asks about that a catalog has nothing of: a rule with one of them says so. */
export function missingAttributes(snapshot: Snapshot, condition: Condition): string[] {
  const named = testsIn(condition).flatMap((test) => ('attribute' in test ? [test] : []));
  const lacks = ({ attribute, how }: Named): boolean => {
    const [column, numbers] = [snapshot.values.has(attribute), snapshot.numbers.has(attribute)];
    if (how === 'hasValue' || how === 'hasNone') return !column && !numbers;
    return how === 'is' || how === 'isNot' || how === 'contains' || how === 'startsWith' ? !column : !numbers;
  };
  return [...new Set(named.filter(lacks).map(({ attribute }) => attribute))];
}
