import { longestId } from './setupRef.ts';

/** An id for a name, as it stands in addresses: its letters and digits without accents, and a number where it is taken. */
export function idFor(name: string, isTaken: (id: string) => boolean): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  const root = plain.slice(0, longestId).replace(/-+$/, '') || 'new';
  for (let number = 1; ; number++) {
    const end = number === 1 ? '' : `-${number}`;
    const id = root.slice(0, longestId - end.length).replace(/-+$/, '') + end;
    if (!isTaken(id)) return id;
  }
}
