import type { FittingStyle, OpeningKind } from '../unit/index.ts';

/** An opening asked for in a wall: rough opening sizes in inches, `bottom` above the foot of the wall. */
export interface OpeningWish {
  readonly id: string;
  readonly kind: OpeningKind;
  readonly style?: FittingStyle;
  readonly width: number;
  readonly height: number;
  readonly bottom: number;
  readonly leastHeight: number;
  /** Extra wall it needs clear on each side, beyond its studs: channels of a sliding door. */
  readonly margin?: number;
  /** Left edge of the opening where its place is set by hand. */
  readonly at?: number;
}

/** A wish that found its place. */
export interface PlacedOpening extends OpeningWish {
  readonly left: number;
}

/** King and jack stud on each side of an opening. */
export const OPENING_SIDE = 3;
const STUD = 1.5;

/** Height of the header over a rough opening: flat 2×4 to 24 in, doubled 2×4 on edge to 48 in, doubled 2×6 beyond. */
export const headerHeight = (width: number): number => (width <= 24 ? 1.5 : width <= 48 ? 3.5 : 5.5);

/** What became of the wishes of a wall. */
export interface OpeningLayout {
  readonly placed: readonly PlacedOpening[];
  readonly lowered: readonly OpeningWish[];
  readonly left: readonly OpeningWish[];
}

const need = (w: OpeningWish): number => w.width + 2 * (w.margin ?? 0);
const sixteenth = (n: number): number => Math.round(n * 16) / 16;

/** Free stretches of a wall between openings that are pinned, ends included, each with room for studs taken off. */
const freeStretches = (from: number, to: number, pinned: readonly PlacedOpening[]): (readonly [number, number])[] => {
  const out: (readonly [number, number])[] = [];
  let start = from + STUD;
  for (const o of [...pinned].sort((p, q) => p.left - q.left)) {
    out.push([start, o.left - (o.margin ?? 0) - OPENING_SIDE]);
    start = o.left + o.width + (o.margin ?? 0) + OPENING_SIDE;
  }
  out.push([start, to - STUD]);
  return out.filter(([a, b]) => b - a > 0);
};

/**
 * Spreads openings over a wall with equal clear lengths between them and the ends, keeping room for king and jack studs.
 * Those with a place of their own keep it; the rest share what is free. Heights are cut back to what the top line leaves over
 * the header.
 * @param ceiling underside of the top plate at a place along the wall
 * @returns those that fit, those that were lowered, and those left out
 */
export const layoutOpenings = (
  from: number,
  to: number,
  wishes: readonly OpeningWish[],
  ceiling: (a: number) => number,
): OpeningLayout => {
  const placed: PlacedOpening[] = [];
  const lowered: OpeningWish[] = [];
  const left: OpeningWish[] = [];
  const settle = (wish: OpeningWish, place: number): void => {
    const top = Math.min(ceiling(place - STUD), ceiling(place + wish.width + STUD)) - headerHeight(wish.width);
    const most = Math.floor((top - wish.bottom) * 16) / 16;
    if (most < wish.leastHeight) left.push(wish);
    else {
      if (most < wish.height) lowered.push(wish);
      placed.push({ ...wish, left: place, height: Math.min(wish.height, most) });
    }
  };

  for (const wish of wishes.filter((w) => w.at !== undefined)) {
    const at = wish.at as number;
    const side = (wish.margin ?? 0) + OPENING_SIDE;
    const inside = at - side >= from + STUD - 1e-9 && at + wish.width + side <= to - STUD + 1e-9;
    const free = placed.every(
      (o) =>
        at - side >= o.left + o.width + (o.margin ?? 0) + OPENING_SIDE - 1e-9 ||
        at + wish.width + side <= o.left - (o.margin ?? 0) - OPENING_SIDE + 1e-9,
    );
    if (inside && free) settle(wish, at);
    else left.push(wish);
  }

  let loose = wishes.filter((w) => w.at === undefined);
  // The widest stretch takes as many as it can, then the next.
  const stretches = freeStretches(from, to, placed).sort((p, q) => q[1] - q[0] - (p[1] - p[0]));
  for (const [start, end] of stretches) {
    const room = end - start - 2 * OPENING_SIDE;
    const kept: OpeningWish[] = [];
    const rest: OpeningWish[] = [];
    for (const wish of loose) {
      const used = [...kept, wish].reduce((sum, w) => sum + need(w), 0) + kept.length * 2 * OPENING_SIDE;
      if (used <= room) kept.push(wish);
      else rest.push(wish);
    }
    const used = kept.reduce((sum, w) => sum + need(w), 0) + Math.max(0, kept.length - 1) * 2 * OPENING_SIDE;
    const gap = (room - used) / (kept.length + 1);
    let at = start + OPENING_SIDE;
    for (const wish of kept) {
      // Whole sixteenths, so that a tape can find the place.
      settle(wish, sixteenth(at + gap + (wish.margin ?? 0)));
      at += gap + need(wish) + 2 * OPENING_SIDE;
    }
    loose = rest;
  }
  left.push(...loose);
  return { placed, lowered, left };
};
