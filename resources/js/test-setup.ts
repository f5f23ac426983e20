import '@testing-library/jest-dom/vitest';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

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
