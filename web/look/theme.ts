export const themes = ['system', 'light', 'dark'] as const;
export type Theme = (typeof themes)[number];

const storedAs = 'clever-shelf.theme';

export function readTheme(): Theme {
  const text = localStorage.getItem(storedAs);
  return themes.find((theme) => theme === text) ?? 'system';
}

/** Whether pages are dark now, by what was chosen at the desk or else by the machine. */
export function isDarkNow(): boolean {
  const theme = readTheme();
  return theme === 'dark' || (theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
}

/** Hears when that may have changed; answers the function that ends it. */
export function onThemeChange(hear: () => void): () => void {
  const system = matchMedia('(prefers-color-scheme: dark)');
  const stored = (event: StorageEvent): void => {
    if (event.key === storedAs) hear();
  };
  system.addEventListener('change', hear);
  addEventListener('storage', stored);
  return () => {
    system.removeEventListener('change', hear);
    removeEventListener('storage', stored);
  };
}

/** Puts a theme in force for this page and keeps it for the next; the shop window follows through the same store. */
export function applyTheme(theme: Theme): void {
  localStorage.setItem(storedAs, theme);
  document.documentElement.dataset.theme = isDarkNow() ? 'dark' : 'light';
}

/** Follows the system and other frames of this application. */
export function followTheme(): void {
  applyTheme(readTheme());
  onThemeChange(() => applyTheme(readTheme()));
}
