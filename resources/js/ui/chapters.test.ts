import { describe, expect, it } from 'vitest';
import { chapterOf } from './chapters';

const core = import.meta.glob<string>('/core/**/*.php', { query: '?raw', import: 'default', eager: true });

/** Every figure that the core explains, by the id of its working. */
const explained = () =>
  Object.values(core).flatMap((text) => [...text.matchAll(/new Working\(\s*'([a-z0-9_.]+)'/g)].map((found) => found[1] ?? ''));

describe('where the handbook speaks of a figure', () => {
  it.each([
    ['safe_c', 'minimums'],
    ['live.pull_at', 'cuts'],
    ['fire.hand', 'hand'],
    ['fire.start', 'fuels'],
    ['curve', 'cookers'],
    ['prepare.brine', 'preparations'],
  ])('%s is in %s', (of, chapter) => expect(chapterOf(of)).toBe(`/handbook#${chapter}`));

  it('has a chapter for what a cook’s hours and coals come from, and the whole book for the rest', () => {
    const all = new Set(explained());
    expect(all.size).toBeGreaterThan(25);
    const alone = [...all].filter((of) => chapterOf(of) === '/handbook').sort();
    expect(alone.filter((of) => !of.startsWith('rig.'))).toEqual(['fire.smoke', 'fire.turn', 'first_look_minutes', 'shape']);
  });
});
