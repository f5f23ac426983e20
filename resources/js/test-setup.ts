import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, vi } from 'vitest';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

// A machine that does other work beside is slow, not wrong.
configure({ asyncUtilTimeout: 30_000 });

/** jsdom lays nothing out, so nothing ever changes its size. */
class StillObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= StillObserver;

/** jsdom paints nothing; the pictures that are painted have their words beside them. */
HTMLCanvasElement.prototype.getContext = () => null;
