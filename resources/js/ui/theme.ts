import { useState } from 'react';

const KEY = 'diatherm.theme';
type Theme = 'day' | 'night';

export function applyStoredTheme(): void {
  document.documentElement.dataset.theme = localStorage.getItem(KEY) === 'night' ? 'night' : 'day';
}

/** Day or night, kept in this browser: two people at one roast may stand in different light. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(document.documentElement.dataset.theme === 'night' ? 'night' : 'day');
  const toggle = () => {
    const next = theme === 'day' ? 'night' : 'day';
    localStorage.setItem(KEY, next);
    document.documentElement.dataset.theme = next;
    setTheme(next);
  };
  return [theme, toggle];
}
