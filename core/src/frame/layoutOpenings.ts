/** An opening asked for in a wall: rough opening sizes in inches, `bottom` above the foot of the wall. */
export interface OpeningWish {
  readonly id: string;
  readonly kind: 'people door' | 'window' | 'pop door' | 'nest' | 'gate';
  readonly width: number;
  readonly height: number;
  readonly bottom: number;
  readonly leastHeight: number;
  /** Extra wall it needs clear on each side, beyond its studs: channels of a sliding door. */
  readonly margin?: number;
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

/**
 * Spreads openings over a wall with equal clear lengths between them and the ends, keeping room for king and jack studs.
 * Heights are cut back to what the top line leaves over the header.
 * @param ceiling underside of the top plate at a place along the wall
 * @returns those that fit, those that were lowered, and those left out
 */
export const layoutOpenings = (
  from: number,
  to: number,
  wishes: readonly OpeningWish[],
  ceiling: (a: number) => number,
): {
  readonly placed: readonly PlacedOpening[];
  readonly lowered: readonly OpeningWish[];
  readonly left: readonly OpeningWish[];
} => {
  const room = to - from - 2 * (STUD + OPENING_SIDE);
  const need = (w: OpeningWish): number => w.width + 2 * (w.margin ?? 0);
  const kept: OpeningWish[] = [];
  const left: OpeningWish[] = [];
  for (const wish of wishes) {
    const used = [...kept, wish].reduce((sum, w) => sum + need(w), 0) + kept.length * 2 * OPENING_SIDE;
    if (used <= room) kept.push(wish);
    else left.push(wish);
  }
  const used = kept.reduce((sum, w) => sum + need(w), 0) + Math.max(0, kept.length - 1) * 2 * OPENING_SIDE;
  const gap = (room - used) / (kept.length + 1);
  let at = from + STUD + OPENING_SIDE;
  const placed: PlacedOpening[] = [];
  const lowered: OpeningWish[] = [];
  for (const wish of kept) {
    // Whole sixteenths, so that a tape can find the place.
    const place = Math.round((at + gap + (wish.margin ?? 0)) * 16) / 16;
    const top = Math.min(ceiling(place - STUD), ceiling(place + wish.width + STUD)) - headerHeight(wish.width);
    const most = Math.floor((top - wish.bottom) * 16) / 16;
    if (most < wish.leastHeight) left.push(wish);
    else {
      if (most < wish.height) lowered.push(wish);
      placed.push({ ...wish, left: place, height: Math.min(wish.height, most) });
    }
    at += gap + need(wish) + 2 * OPENING_SIDE;
  }
  return { placed, lowered, left };
};
