const key = 'clever-shelf.person';

/** Who works at this browser: a name that it keeps, empty where none was said. */
export function personNow(): string {
  try {
    return localStorage.getItem(key) ?? '';
  } catch {
    // A browser that keeps nothing knows nobody.
    return '';
  }
}
export function setPerson(name: string): void {
  try {
    localStorage.setItem(key, name);
  } catch {
    // It is forgotten with the page.
  }
}
