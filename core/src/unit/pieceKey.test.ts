import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { pieceKey, repeatParts } from './index.ts';

describe.each(FAMILIES.map((f) => f.key))('the pieces of a %s', (family) => {
  const { parts } = buildSpec(parseSpec({ family }));
  it('are of one key exactly where they are of one mark', () => {
    const keys = new Map<string, Set<string>>();
    for (const p of parts) keys.set(p.mark, (keys.get(p.mark) ?? new Set()).add(pieceKey(p)));
    // Marks look at outlines only where there is something to compare them with, keys always: never fewer keys than marks.
    const byKey = new Map<string, Set<string>>();
    for (const p of parts) byKey.set(pieceKey(p), (byKey.get(pieceKey(p)) ?? new Set()).add(p.mark));
    for (const [key, marks] of byKey) expect([key, marks.size]).toEqual([key, 1]);
    for (const [mark, mine] of keys) expect([mark, mine.size]).toEqual([mark, 1]);
  });
  it('keep their key wherever they are put', () => {
    const moved = repeatParts(parts, 2);
    for (const [i, p] of parts.entries()) {
      expect(pieceKey(moved[i] as (typeof parts)[number])).toBe(pieceKey(p));
      expect(pieceKey(moved[parts.length + i] as (typeof parts)[number])).toBe(pieceKey(p));
    }
  });
});

it('a stud of another length is another piece', () => {
  const studs = (highWall: number) =>
    new Set(
      buildSpec(parseSpec({ family: 'raised-lean-to', params: { highWall } }))
        .parts.filter((p) => p.role === 'stud' && p.assembly === 'front-wall')
        .map(pieceKey),
    );
  const [a, b] = [studs(60), studs(62)];
  expect([...a].filter((k) => b.has(k))).toEqual([]);
});
