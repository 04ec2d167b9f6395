import type { WornLook } from '../../core/look/wornLook.ts';
import { fetchLetters } from './letters.ts';

/** What an element has on, to be taken off again. */
const worn = new WeakMap<HTMLElement, readonly string[]>();

/** Has what is drawn within an element look as the merchandiser decided, light or dark. */
export function wearLook(element: HTMLElement, look: WornLook, wantsDark: boolean): void {
  const isDark = wantsDark && look.dark !== null;
  element.dataset.theme = isDark ? 'dark' : 'light';
  const variables = { ...look.light, ...(isDark && look.dark) };
  for (const name of worn.get(element) ?? []) if (!(name in variables)) element.style.removeProperty(name);
  // By name and value, not as a style's text: a page that allows no styles in its elements allows this.
  for (const [name, value] of Object.entries(variables)) element.style.setProperty(name, value);
  worn.set(element, Object.keys(variables));
  void fetchLetters(look.letters);
}
