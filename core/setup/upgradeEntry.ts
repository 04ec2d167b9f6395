import { own } from '../base/named.ts';
import { most } from './terms/limits.ts';

type Fields = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A saying of which the condition was one test of its own kind; what is none is left for the reader to refuse. */
function upgradeSaying(saying: unknown): unknown {
  if (!isObject(saying) || !isObject(saying.condition)) return saying;
  const { what, attribute, value, from, to, days } = saying.condition;
  const tests: Readonly<Record<string, Fields>> = {
    value: { how: 'is', attribute, values: [value] },
    number: { how: 'between', attribute, from, to },
    newer: { how: 'lastDays', attribute, days },
    reduced: { how: 'reduced' },
  };
  const test = typeof what === 'string' ? own(tests, what) : undefined;
  return test ? { ...saying, condition: { match: 'all', tests: [test] } } : saying;
}

/** Values of which most of what was found had to have one, attribute by attribute, as one condition; of more attributes than one takes the first. */
function mostlyOf(values: readonly unknown[]): Fields | null {
  const ofAttribute = new Map<string, unknown[]>();
  for (const each of values) {
    if (!isObject(each) || typeof each.attribute !== 'string') continue;
    ofAttribute.set(each.attribute, [...(ofAttribute.get(each.attribute) ?? []), each.value]);
  }
  const tests = [...ofAttribute].slice(0, most.tests).map(([attribute, of]) => ({ how: 'is', attribute, values: of }));
  return tests.length === 0 ? null : { match: 'any', tests };
}

/**
 * An entry of an earlier format, as today's says it; today's is answered as it is, so what was journaled before is read by
 * this as well as setups are. In format 4 places that something is hidden from were called `from`, and the search box went
 * with the results; a saying's condition was one test. In format 6 a filter belonged where most of what was found had one
 * value of some; by now where it meets a condition.
 */
export function upgradeEntry(part: string, entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  if (part === 'hiding' && Array.isArray(entry.from)) {
    const { from, ...rest } = entry;
    return { ...rest, places: from.flatMap((place) => (place === 'results' ? ['results', 'box'] : [place])) };
  }
  if (part === 'vocabulary' && Array.isArray(entry.conditions))
    return { ...entry, conditions: entry.conditions.map(upgradeSaying) };
  if (part === 'filters' && isObject(entry.where) && Array.isArray(entry.where.values)) {
    const { values, ...rest } = entry.where;
    const mostly = mostlyOf(values);
    return { ...entry, where: { ...rest, ...(mostly && { mostly }) } };
  }
  return entry;
}
