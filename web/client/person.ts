import { personCookie } from '../../api/person.ts';

/** How long a browser keeps the name, in seconds. */
const keptFor = 400 * 86_400;

/** Who works at this browser: a name that it keeps, and says with every request; empty where none was said. */
export function personNow(): string {
  const said = document.cookie.split('; ').find((each) => each.startsWith(`${personCookie}=`));
  try {
    return decodeURIComponent(said?.slice(personCookie.length + 1) ?? '');
  } catch {
    return '';
  }
}
export function setPerson(name: string): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the other way is not in every browser yet
  document.cookie = `${personCookie}=${encodeURIComponent(name)}; path=/; max-age=${name === '' ? 0 : keptFor}; samesite=strict`;
}
