/** A key for a new entry that none of a part's entries has: the name, or the name with a number. Keys have at most 80 characters. */
export function freeKey(existing: object, name: string): string {
  for (let number = 1; ; number++) {
    const end = number === 1 ? '' : `-${number}`;
    const key = name.slice(0, 80 - end.length) + end;
    if (!Object.hasOwn(existing, key)) return key;
  }
}
