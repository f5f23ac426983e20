import { vi } from 'vitest';

/** The hand of a test taps at the moment that it is told, ms, however busy the machine is that plays it. */
export function tapsAt(moment: number | (() => number)): void {
  const stamp = vi.spyOn(Event.prototype, 'timeStamp', 'get');
  if (typeof moment === 'number') stamp.mockReturnValue(moment);
  else stamp.mockImplementation(moment);
}

/** Letters that come before the page has drawn what the one before them changed, as they do on a busy phone. */
export function typesQuickly(field: HTMLInputElement | HTMLTextAreaElement, words: string): void {
  const here = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
  const kind = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
  const write = Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set;
  here.IS_REACT_ACT_ENVIRONMENT = false;
  for (const letter of words) {
    write?.call(field, field.value + letter);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
  here.IS_REACT_ACT_ENVIRONMENT = true;
}
