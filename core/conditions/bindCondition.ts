import { dayNumber } from '../base/day.ts';
import { levelMark } from '../catalog/levels.ts';
import type { ValueColumn } from '../index/columns.ts';
import { perColumns } from '../index/perColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { stockAttributes, stockOf } from '../index/stock.ts';
import type { Condition, Test, TestGroup } from '../setup/terms/condition.ts';
import { sameValue } from '../values/valueGroups.ts';
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

type Named = Exclude<Test, { how: 'inStock' | 'soldOut' | 'reduced' }>;
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

/** The attributes whose values and amounts decide a test. */
function readBy(test: Test): readonly string[] {
  if (test.how === 'inStock' || test.how === 'soldOut') return stockAttributes;
  return test.how === 'reduced' ? ['price', 'former_price'] : [test.attribute];
}

/** The record's test, or null where the catalog has nothing to hold it to. */
function testOf(
  snapshot: Snapshot,
  test: Exclude<Test, TextTest>,
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

/** The records that meet one test, worked out once as long as catalog and test stay. */
function bindTest(snapshot: Snapshot, test: Test, today: number): RecordSet {
  const { records } = snapshot;
  const key = JSON.stringify(test);
  return sets(snapshot, readBy(test), test.how === 'lastDays' ? `${key} ${today}` : key, () => {
    if (isOfTexts(test)) return byTexts(snapshot, test);
    const passes = testOf(snapshot, test, today);
    return passes ? setOf(records, passes) : emptySet(records);
  });
}

/**
 * The records that meet a condition: variants, each by what it has itself. A test of an attribute that the catalog does not
 * have, or has no values or amounts of, is met by nothing, whichever way it compares, so that a rule whose attribute is
 * gone does nothing. `today` is in days since 1970. Cost: a pass over the records for each test that is new, else a pass
 * over the set's items.
 */
export function bindCondition(snapshot: Snapshot, condition: Condition, today: number): RecordSet {
  const asked = testsIn(condition);
  const key = JSON.stringify(condition);
  const isOfDay = asked.some(({ how }) => how === 'lastDays');
  return sets(snapshot, [...new Set(asked.flatMap(readBy))], isOfDay ? `${key} ${today}` : key, () =>
    combineTests(snapshot, condition, today),
  );
}

function combineTests(snapshot: Snapshot, { match, tests }: Condition, today: number): RecordSet {
  const parts = tests.map((part) =>
    isGroup(part)
      ? combined(
          part.tests.map((test) => bindTest(snapshot, test, today)),
          part.match,
        )
      : bindTest(snapshot, part, today),
  );
  return combined(parts, match);
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
