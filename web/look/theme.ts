export const themes = ['system', 'light', 'dark'] as const;
export type Theme = (typeof themes)[number];

const stored = 'clever-shelf.theme';

export function readTheme(): Theme {
  const text = localStorage.getItem(stored);
  return themes.find((theme) => theme === text) ?? 'system';
}

/** Puts a theme in force for this page and keeps it for the next; the shop window follows through the same store. */
export function applyTheme(theme: Theme): void {
  localStorage.setItem(stored, theme);
  const dark = theme === 'dark' || (theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
}

/** Follows the system and other frames of this application. */
export function followTheme(): void {
  applyTheme(readTheme());
  matchMedia('(prefers-color-scheme: dark)').addEventListener('change', () => applyTheme(readTheme()));
  addEventListener('storage', (event) => {
    if (event.key === stored) applyTheme(readTheme());
  });
}
