import { randomOf } from '@rubbet/core/cut';
import type { StickDemand, StickPiece, StickStock } from '@rubbet/core/cut';

/** Kinds of demand that a saw meets, and one that nobody would wish on it. */
export const KINDS = ['one length', 'several lengths', 'limited offcuts', 'weeks', 'adversarial'] as const;
export type Kind = (typeof KINDS)[number];

const ITEM = '2x4';
const stock = (length: number, cost: number, quantity: number | null = null): StickStock => ({
  item: ITEM,
  length,
  cost,
  quantity,
});
/** Eight to sixteen feet, longer ones dearer by the foot. */
const LENGTHS: readonly StickStock[] = [stock(96, 384), stock(120, 505), stock(144, 612), stock(192, 890)];

/** One demand of a kind, the same for the same seed. Lengths to a sixteenth, weeks to a thirty-second. */
export const demandOf = (kind: Kind, seed: number): StickDemand => {
  const random = randomOf(seed * 7919 + KINDS.indexOf(kind));
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const pieces = (count: number, length: () => number, quantity: () => number): StickPiece[] => {
    const seen = new Set<number>();
    for (let tries = 0; seen.size < count && tries < 50 * count; tries++) seen.add(length());
    return [...seen].map((l, i) => ({ id: `p${i}`, item: ITEM, length: l, quantity: quantity() }));
  };
  const kerf = 0.125;
  switch (kind) {
    case 'one length':
      return {
        kerf,
        endTrim: 0,
        stock: [stock(96, 384)],
        pieces: pieces(
          whole(3, 12),
          () => whole(5 * 16, 95 * 16) / 16,
          () => whole(1, 8),
        ),
      };
    case 'several lengths':
      return {
        kerf,
        endTrim: random() < 0.3 ? 0.5 : 0,
        stock: LENGTHS.slice(0, whole(2, 4)),
        pieces: pieces(
          whole(3, 12),
          () => whole(5 * 16, 95 * 16) / 16,
          () => whole(1, 8),
        ),
      };
    case 'limited offcuts':
      return {
        kerf,
        endTrim: 0,
        stock: [
          stock(96, 384),
          ...(random() < 0.5 ? [stock(144, 612)] : []),
          ...Array.from({ length: whole(2, 6) }, () => stock(whole(14 * 16, 94 * 16) / 16, 0, whole(1, 3))),
        ],
        pieces: pieces(
          whole(3, 10),
          () => whole(5 * 16, 90 * 16) / 16,
          () => whole(1, 6),
        ),
      };
    case 'weeks': {
      const wanted = whole(300, 2500);
      const lengths = whole(30, 120);
      return {
        kerf,
        endTrim: 0,
        stock: LENGTHS,
        pieces: pieces(
          lengths,
          () => whole(4 * 32, 96 * 32) / 32,
          () => Math.max(1, Math.round((wanted / lengths) * (0.3 + 1.4 * random()))),
        ),
      };
    }
    case 'adversarial': {
      // About halves, thirds and quarters of the stick, a kerf more or less, and triplets that just fill it.
      const part = (n: number): number => Math.round(((96 - (n - 1) * kerf) / n) * 16) / 16 + whole(-3, 3) / 16;
      const triplet = (): number[] => {
        const [a, b] = [whole(24 * 16, 40 * 16) / 16, whole(24 * 16, 40 * 16) / 16];
        return [a, b, 96 - 2 * kerf - a - b];
      };
      const lengths = [
        part(2),
        part(2),
        part(3),
        part(3),
        part(4),
        ...(random() < 0.6 ? [triplet(), triplet()].flat() : [part(5), part(7)]),
      ];
      const seen = [...new Set(lengths)].filter((l) => l > 1 && l <= 96);
      return {
        kerf,
        endTrim: 0,
        stock: random() < 0.5 ? [stock(96, 384)] : [stock(96, 384), stock(120, 505)],
        pieces: seen.map((length, i) => ({ id: `p${i}`, item: ITEM, length, quantity: whole(1, 7) })),
      };
    }
  }
};
