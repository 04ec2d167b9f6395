/**
 * What has no name from anywhere. Records made of it share their layout while they get the same names in the same order,
 * which a record made by `Object.create(null)` never does: rows of a file are written as JSON in half the time.
 */
class Nameless {}
Object.setPrototypeOf(Nameless.prototype, null);
Reflect.deleteProperty(Nameless.prototype, 'constructor');

/**
 * Records whose names come from outside: a column, a filter or a plan may be called `constructor` or `__proto__`. They
 * inherit nothing that has a name, so that no name is there before somebody gave it.
 */
export function named<Value>(entries: Iterable<readonly [string, Value]> = []): Record<string, Value> {
  const record = new Nameless() as Record<string, Value>;
  for (const [name, value] of entries) record[name] = value;
  return record;
}

/** A copy without a prototype, of a record that may have one. */
export const copyNamed = <Value>(record: Readonly<Record<string, Value>>): Record<string, Value> =>
  named(Object.entries(record));

/** What stands under a name in a record that may have a prototype; undefined where nobody put anything there. */
export const own = <Value>(record: Readonly<Record<string, Value>> | undefined, name: string): Value | undefined =>
  record !== undefined && Object.hasOwn(record, name) ? record[name] : undefined;
