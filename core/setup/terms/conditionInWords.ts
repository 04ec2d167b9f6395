import type { Condition, Test } from './condition.ts';
import type { Match } from './conditionTerms.ts';

const valuesTold = 4;
const either = (values: readonly string[]): string => {
  const told = values.slice(0, valuesTold);
  const more = values.length - told.length;
  return told.join(' or ') + (more > 0 ? ` or ${more} more` : '');
};

/** One test as a merchandiser reads it. */
export function testInWords(
  test: Test,
  labelOf: (attribute: string) => string,
  titleOf: (collection: string) => string,
): string {
  switch (test.how) {
    case 'inStock':
      return 'it is in stock';
    case 'soldOut':
      return 'it is sold out';
    case 'reduced':
      return 'it costs less than it did';
    case 'inCollection':
      return `it is in ${either(test.collections.map(titleOf))}`;
    case 'notInCollection':
      return `it is not in ${either(test.collections.map(titleOf))}`;
  }
  const label = labelOf(test.attribute);
  switch (test.how) {
    case 'is':
      return `${label} is ${either(test.values)}`;
    case 'isNot':
      return `${label} is not ${either(test.values)}`;
    case 'contains':
      return `${label} contains “${test.text}”`;
    case 'startsWith':
      return `${label} starts with “${test.text}”`;
    case 'before':
      return `${label} is before ${test.day}`;
    case 'after':
      return `${label} is after ${test.day}`;
    case 'lastDays':
      return `${label} is not older than ${test.days} days`;
    case 'hasValue':
      return `${label} has a value`;
    case 'hasNone':
      return `${label} has no value`;
    case 'between': {
      const { from, to } = test;
      if (from !== null && to !== null) return `${label} is from ${from} to ${to}`;
      if (from === null && to === null) return `${label} is known`;
      return `${label} is ${from === null ? `at most ${to}` : `at least ${from}`}`;
    }
  }
}

const joined = (texts: readonly string[], match: Match): string => texts.join(match === 'all' ? ' and ' : ', or ');

/** A condition as a merchandiser reads it, without a full stop. */
export const conditionInWords = (
  { match, tests }: Condition,
  labelOf: (attribute: string) => string,
  titleOf: (collection: string) => string,
): string =>
  joined(
    tests.map((part) => {
      if (!('match' in part)) return testInWords(part, labelOf, titleOf);
      const inside = joined(
        part.tests.map((test) => testInWords(test, labelOf, titleOf)),
        part.match,
      );
      return part.tests.length > 1 ? `(${inside})` : inside;
    }),
    match,
  );
