import { useSyncExternalStore } from 'react';

/** The colours of the theme as values, for what cannot read custom properties of CSS. */
export interface ThemeColours {
  dark: boolean;
  ink: string;
  paper: string;
  quiet: string;
  rule: string;
  kept: string;
  lost: string;
}

const known = new Map<string, ThemeColours>();

function coloursOf(theme: string): ThemeColours {
  const before = known.get(theme);
  if (before !== undefined) return before;
  const style = getComputedStyle(document.documentElement);
  const value = (name: string) => style.getPropertyValue(name).trim();
  const colours = {
    dark: theme === 'nightshift',
    ink: value('--color-base-content'),
    paper: value('--color-base-100'),
    quiet: value('--quiet'),
    rule: value('--rule'),
    kept: value('--bar-adds'),
    lost: value('--bar-lost'),
  };
  known.set(theme, colours);
  return colours;
}

function whenThemeChanges(tell: () => void): () => void {
  const observer = new MutationObserver(tell);
  observer.observe(document.documentElement, { attributeFilter: ['data-theme'] });
  return () => observer.disconnect();
}

/** The colours of the theme that is on, and of the other as soon as it is. */
export function useThemeColours(): ThemeColours {
  return useSyncExternalStore(whenThemeChanges, () =>
    coloursOf(document.documentElement.dataset.theme ?? ''),
  );
}
