import { dayNumber } from '../../../../core/base/day.ts';
import type { Condition, Test, TestGroup } from '../../../../core/setup/terms/condition.ts';
import { type Comparison, type Match, withoutAttribute } from '../../../../core/setup/terms/conditionTerms.ts';

/** A test as it is being built: every field it may need, empty where nothing was said yet. */
export interface TestRow {
  readonly id: number;
  readonly how: Comparison;
  readonly attribute: string;
  readonly values: readonly string[];
  /** By id. */
  readonly collections: readonly string[];
  readonly text: string;
  readonly from: string;
  readonly to: string;
  readonly day: string;
  readonly days: string;
}
export interface GroupRows {
  readonly id: number;
  readonly match: Match;
  readonly rows: readonly TestRow[];
}
/** A condition as it is being built; it may have rows that say nothing yet. */
export interface ConditionRows {
  readonly match: Match;
  readonly parts: readonly (TestRow | GroupRows)[];
}

let last = 0;
export const emptyRow = (): TestRow => ({
  ...{
    id: ++last,
    how: 'is',
    attribute: '',
    values: [],
    collections: [],
    text: '',
    from: '',
    to: '',
    day: '',
    days: '',
  },
});
export const emptyGroup = (): GroupRows => ({ id: ++last, match: 'any', rows: [emptyRow()] });
export const isGroup = (part: TestRow | GroupRows): part is GroupRows => 'rows' in part;

function rowOf(test: Test): TestRow {
  const texts = Object.fromEntries(
    Object.entries(test).map(([field, value]) => [field, typeof value === 'number' ? String(value) : (value ?? '')]),
  );
  return { ...emptyRow(), ...texts } as TestRow;
}

export const rowsOf = ({ match, tests }: Condition): ConditionRows => ({
  match,
  parts: tests.map((part) =>
    'match' in part ? { id: ++last, match: part.match, rows: part.tests.map(rowOf) } : rowOf(part),
  ),
});

/** An amount typed, null where nothing is; undefined where it is none. */
function amount(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const number = Number(text.trim().replace(',', '.'));
  return Number.isFinite(number) ? number : undefined;
}

/** The test a row says, or null where it does not say one yet. */
export function testOf({ how, attribute, values, collections, text, from, to, day, days }: TestRow): Test | null {
  if (how === 'inStock' || how === 'soldOut' || how === 'reduced') return { how };
  if (how === 'inCollection' || how === 'notInCollection')
    return collections.length > 0 ? { how, collections: [...collections] } : null;
  if (attribute === '') return null;
  switch (how) {
    case 'hasValue':
    case 'hasNone':
      return { how, attribute };
    case 'is':
    case 'isNot':
      return values.length > 0 ? { how, attribute, values: [...values] } : null;
    case 'contains':
    case 'startsWith':
      return text.trim() === '' ? null : { how, attribute, text: text.trim() };
    case 'before':
    case 'after':
      return Number.isNaN(dayNumber(day)) ? null : { how, attribute, day };
    case 'lastDays': {
      const number = Number(days);
      return Number.isInteger(number) && number > 0 ? { how, attribute, days: number } : null;
    }
    case 'between': {
      const [least, most] = [amount(from), amount(to)];
      if (least === undefined || most === undefined || (least === null && most === null)) return null;
      return { how, attribute, from: least, to: most };
    }
  }
}

/** The condition that rows say, or null where one of them says nothing yet. */
export function conditionOf({ match, parts }: ConditionRows): Condition | null {
  const tests = parts.map((part): Test | TestGroup | null => {
    if (!isGroup(part)) return testOf(part);
    const inside = part.rows.map(testOf);
    return inside.length > 0 && inside.every((test) => test !== null)
      ? { match: part.match, tests: inside as Test[] }
      : null;
  });
  return tests.length > 0 && tests.every((test) => test !== null)
    ? { match, tests: tests as Condition['tests'] }
    : null;
}

/** An attribute as far as it decides how it can be compared. */
export interface Comparable {
  readonly key: string;
  readonly label: string;
  readonly kind: string;
  readonly canFilter: boolean;
  readonly isNumeric: boolean;
}

/** Whether an attribute can be asked about: it has values or amounts. */
export const isComparable = ({ key, canFilter, isNumeric }: Comparable): boolean =>
  canFilter || isNumeric || key === 'title';

/** The ways in which an attribute can be compared, the commonest first. */
export function comparisonsFor({ kind, isNumeric }: Pick<Comparable, 'kind' | 'isNumeric'>): readonly Comparison[] {
  if (kind === 'date') return ['lastDays', 'before', 'after', 'hasValue', 'hasNone'];
  if (isNumeric) return ['between', 'hasValue', 'hasNone'];
  return ['is', 'isNot', 'contains', 'startsWith', 'hasValue', 'hasNone'];
}

export const comparisonTexts: Readonly<Record<Comparison, string>> = {
  is: 'is',
  isNot: 'is not',
  contains: 'contains',
  startsWith: 'starts with',
  between: 'is between',
  before: 'is before',
  after: 'is after',
  lastDays: 'is in the last … days',
  hasValue: 'has a value',
  hasNone: 'has no value',
  inStock: 'It is in stock',
  soldOut: 'It is sold out',
  reduced: 'It costs less than it did',
  inCollection: 'is in',
  notInCollection: 'is not in',
};

/** What a row about collections is about, beside the attributes. */
export const collectionSubject: Comparison = 'inCollection';

/** A row about another attribute, or none: what was said of the one before does not hold for it. */
export function aboutAnother(row: TestRow, subject: string, attributes: readonly Comparable[]): TestRow {
  const { id } = row;
  if (withoutAttribute.has(subject as Comparison) || subject === collectionSubject)
    return { ...emptyRow(), id, how: subject as Comparison };
  const attribute = attributes.find(({ key }) => key === subject);
  return { ...emptyRow(), id, attribute: subject, how: attribute ? comparisonsFor(attribute)[0]! : 'is' };
}
