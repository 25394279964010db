/** The theme: as chosen before, else as the system asks. */
export type Theme = 'lamplight' | 'nightshift';

const KEY = 'even-lantern-theme';

export function restoreTheme(): void {
  const chosen = localStorage.getItem(KEY);
  const dark = chosen === null ? matchMedia('(prefers-color-scheme: dark)').matches : chosen === 'nightshift';
  document.documentElement.dataset.theme = dark ? 'nightshift' : 'lamplight';
}

export function switchTheme(): void {
  const next: Theme = document.documentElement.dataset.theme === 'nightshift' ? 'lamplight' : 'nightshift';
  document.documentElement.dataset.theme = next;
  localStorage.setItem(KEY, next);
}
