import { useEffect } from 'react';

/** Single-key shortcuts, silent while something is being typed or a sheet is open. */
export function useKeys(keys: Record<string, () => void>): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target;
      // What a browser or one of its extensions fills in by itself comes without a key, or from nowhere on the page.
      if (typeof event.key !== 'string' || !(target instanceof Element)) return;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        target.closest('input:not([type=range]), textarea, select, [role=dialog], [role=listbox], [role=radiogroup]') !== null
      )
        return;
      const act = keys[event.key.toLowerCase()];
      if (act === undefined) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}
