import { describe, expect, it, vi } from 'vitest';
import { newId } from './newId';

// RFC 9562, section 5.4: version 4 in the seventh octet, variant 10 in the ninth.
const VERSION_4 = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

describe('an id made here', () => {
  it.each(['with TLS', 'without'])('is a version 4 UUID, each another, %s', (how) => {
    if (how === 'without') vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) });
    const ids = Array.from({ length: 200 }, newId);
    vi.unstubAllGlobals();
    for (const id of ids) expect(id).toMatch(VERSION_4);
    expect(new Set(ids).size).toBe(200);
  });
});
