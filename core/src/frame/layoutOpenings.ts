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
  /** Nothing bears on the wall that it is in. */
  readonly flat?: boolean;
  /** Extra wall it needs clear on each side, beyond its studs: channels of a sliding door. */
  readonly margin?: number;
  /** Least distance of its edges from the wall's ends, where what is fixed beside it must pass the corner boards. */
  readonly ends?: number;
  /** Item that is bought for it. */
  readonly unit?: string;
  /** Its head stays level under a raked plate too: what is in its leaf wants a square one. */
  readonly level?: boolean;
  /** A post of the roof may stand on it: jacks and a doubled 2×6, whatever its width. */
  readonly heavy?: boolean;
  /** What its header must stay under where it may rise past the plates: the rafters of a gable whose end is no tie. */
  readonly past?: (a: number) => number;
  /** Where along the wall a ridge beam comes down on what is under it. */
  readonly bearing?: number;
  /** Left edge of the opening where its place is set by hand. */
  readonly at?: number;
}

/** A wish that found its place. */
export interface PlacedOpening extends OpeningWish {
  readonly left: number;
  /** The opening over or under which it stands, between the same studs. */
  readonly within?: string;
  /**
   * Rise of its head along the wall, inches an inch: it follows a raked plate, which is all the head it has. Its height is then
   * that of its lower side.
   */
  readonly rake?: number;
  /** Its head stands above the plates, which end at its king studs; those run on to the rafters. */
  readonly through?: true;
  /** Heights that its own studs reach from and to, where they do not run from plate to plate. */
  readonly from?: number;
  readonly to?: number;
}

const STUD = 1.5;
/** Widest opening that stands between two studs with two blocks, without jacks: nothing above it needs a header. Common practice, no source. */
export const BLOCKED = 24;

/**
 * Widest opening of a wall that bears nothing that stands between two studs under a flat 2×4. IRC R602.7.4 lets one span 8 ft; wider
 * than this a door's leaves want jacks (from memory).
 */
export const FLAT_MOST = 48;

/** What decides how an opening is framed: its width, and whether nothing above it needs a header. */
export interface Span {
  readonly width: number;
  readonly flat?: boolean;
  readonly heavy?: boolean;
}

const isBlocked = ({ width, flat, heavy }: Span): boolean =>
  heavy !== true && width <= (flat === true ? FLAT_MOST : BLOCKED);

/** What the framing of an opening takes on each side: one stud where it is narrow or nothing bears on it, else a king and a jack. */
export const openingSide = (o: Span): number => (isBlocked(o) ? STUD : 2 * STUD);

/**
 * Height of the header over a rough opening: a flat 2×4 to 24 in and where nothing bears on it, doubled 2×4 on edge to 48 in, doubled
 * 2×6 beyond and under a post.
 */
export const headerHeight = (o: Span): number =>
  isBlocked(o) ? 1.5 : o.width <= FLAT_MOST && o.heavy !== true ? 3.5 : 5.5;

/** True for an opening whose sill is the floor: the bottom plate is sawn out under it. */
export const standsOnFloor = (o: { readonly bottom: number }): boolean => o.bottom < STUD - 1e-6;

/** Top of the header over an opening; one whose head is the plate has nothing over it. */
export const headTop = (o: Pick<PlacedOpening, 'bottom' | 'height' | 'width' | 'flat' | 'heavy' | 'rake'>): number =>
  o.rake === undefined ? o.bottom + o.height + headerHeight(o) : Infinity;

/** Top of a rough opening at a place along the wall. */
export const openingTop = (
  o: Pick<PlacedOpening, 'bottom' | 'height' | 'width' | 'left' | 'rake'>,
  a: number,
): number => o.bottom + o.height + (o.rake ?? 0) * (a - ((o.rake ?? 0) > 0 ? o.left : o.left + o.width));

/** Least height of what is packed between a header and a sill over it. */
const PACKED = 0.5;

/** What may stand over another opening, and under one: nothing of it hangs or slides in front of the other. */
const OVER: ReadonlySet<OpeningKind> = new Set(['window', 'vent']);
const UNDER: ReadonlySet<OpeningKind> = new Set(['nest', 'window', 'vent', 'clean-out', 'people door', 'gate']);

/** Whether an opening of one kind may stand over one of another, between the same studs. */
export const mayStandOver = (high: OpeningKind, low: OpeningKind): boolean => OVER.has(high) && UNDER.has(low);

/** Whether a stud stands clear of another, or is the same. */
const apart = (gap: number): boolean => gap >= STUD - 1e-6 || Math.abs(gap) < 1e-6;

/**
 * The stretch of wall that one opening leaves another above its header or below its sill, between its own studs; nothing where the
 * other does not stand in it.
 */
const bayIn = (o: PlacedOpening, w: OpeningWish, at: number): Pick<PlacedOpening, 'from' | 'to'> | undefined => {
  if (o.within !== undefined) return undefined;
  const [low, high] = o.bottom < w.bottom ? [o, w] : [w, o];
  if (!mayStandOver(high.kind, low.kind)) return undefined;
  const outer = openingSide(o);
  const gaps = [at - openingSide(w) - (o.left - outer), o.left + o.width + outer - (at + w.width + openingSide(w))];
  const over = w.bottom - STUD - headTop(o);
  if (gaps.every(apart) && (Math.abs(over) < 1e-6 || over > PACKED)) return { from: headTop(o) };
  // Below the sill the other's jacks stand too: they serve as studs of what is under it.
  const below = (gap: number): boolean => apart(gap - (outer - STUD));
  const under = o.bottom - STUD - headTop(w);
  return gaps.every(below) && under >= 0 ? { to: o.bottom - STUD } : undefined;
};

/** How much higher than wanted the high side of a raked door may be: under a steep plate a lower one is nearer to what was asked. */
const OVERSHOOT = 6;

/** A door of one leaf under a raked plate on which nothing bears, as high as it goes there; undefined for any other. */
const rakedAt = (
  w: OpeningWish,
  at: number,
  ceiling: (a: number) => number,
): { readonly height: number; readonly highest: number; readonly rake: number } | undefined => {
  if (w.kind !== 'people door' || w.flat !== true || w.unit !== undefined || w.level === true) return undefined;
  if (openingSide(w) !== STUD || (w.style !== undefined && w.style !== 'single')) return undefined;
  const ends = [ceiling(at) - w.bottom, ceiling(at + w.width) - w.bottom] as const;
  const rake = (ends[1] - ends[0]) / w.width;
  const height = Math.min(...ends);
  if (Math.abs(rake) < 1e-6 || height < w.leastHeight || Math.max(...ends) > w.height + OVERSHOOT) return undefined;
  return { height, highest: Math.max(...ends), rake };
};

/** Plate that must be left between the wall's end and the king studs of an opening that rises past it. */
const LEAST_STUB = 6;

/** Shortest post under a beam. Common practice, no source. */
const LEAST_POST = 2;

/** How high an opening may be whose header rises past the plates; undefined where it may not, or gains nothing. */
const heightPast = (w: OpeningWish, at: number, from: number, to: number, under: number): number | undefined => {
  if (!w.past || under >= w.height) return undefined;
  const side = openingSide(w);
  if (at - side - from < LEAST_STUB || to - (at + w.width + side) < LEAST_STUB) return undefined;
  const { past, bearing } = w;
  const ends = [at - side, at + w.width + side];
  const beam = bearing !== undefined && bearing > (ends[0] as number) && bearing < (ends[1] as number);
  // A king stud that runs to the rafters would meet the beam.
  const meets = (at: number): boolean => bearing !== undefined && Math.abs(bearing - at) < 2 * STUD;
  if (meets(at - side + STUD / 2) || meets(at + w.width + side - STUD / 2)) return undefined;
  const rest = headerHeight(w) + w.bottom;
  const most = Math.floor((Math.min(...ends.map(past)) - rest) * 16) / 16;
  let height = Math.min(w.height, most);
  if (beam) {
    const onHeader = past(bearing) - rest;
    // What is too low for a post is left out: the beam lies on the header where the rafters let it.
    if (height > onHeader - LEAST_POST)
      height = onHeader <= most ? onHeader : Math.min(height, Math.floor((onHeader - LEAST_POST) * 16) / 16);
  }
  return height > under ? height : undefined;
};

/** What became of the wishes of a wall. */
export interface OpeningLayout {
  readonly placed: readonly PlacedOpening[];
  readonly lowered: readonly OpeningWish[];
  readonly left: readonly OpeningWish[];
}

const sixteenth = (n: number): number => Math.round(n * 16) / 16;

/** What an opening takes on each side with its studs and what slides beside it. */
const sideOf = (w: OpeningWish): number => openingSide(w) + (w.margin ?? 0);

/** Free stretches of a wall between openings that are pinned, ends included. */
const freeStretches = (from: number, to: number, pinned: readonly PlacedOpening[]): (readonly [number, number])[] => {
  const out: (readonly [number, number])[] = [];
  let start = from;
  for (const o of [...pinned].sort((p, q) => p.left - q.left)) {
    out.push([start, o.left - sideOf(o)]);
    start = o.left + o.width + sideOf(o);
  }
  out.push([start, to]);
  return out.filter(([a, b]) => b - a > 0);
};

/**
 * Spreads openings over a wall with equal clear lengths between them and the ends, keeping room for king and jack studs.
 * Those with a place of their own keep it; the rest share what is free. Heights are cut back to what the top line leaves over
 * the header.
 * @param ceiling underside of the top plate at a place along the wall
 * @param studsAt spacing of the wall's studs, from its start: what may move a little takes one of them for its own
 * @returns those that fit, those that were lowered, and those left out
 */
export const layoutOpenings = (
  from: number,
  to: number,
  wishes: readonly OpeningWish[],
  ceiling: (a: number) => number,
  studsAt?: number,
): OpeningLayout => {
  const placed: PlacedOpening[] = [];
  const lowered: OpeningWish[] = [];
  const left: OpeningWish[] = [];
  const settle = (wish: OpeningWish, place: number, bay: Pick<PlacedOpening, 'within' | 'from' | 'to'> = {}): void => {
    const reach = openingSide(wish) - STUD;
    const top =
      Math.min(ceiling(place - reach), ceiling(place + wish.width + reach), bay.to ?? Infinity) - headerHeight(wish);
    const most = Math.floor((top - wish.bottom) * 16) / 16;
    const raked = most < wish.height && bay.within === undefined ? rakedAt(wish, place, ceiling) : undefined;
    const past = bay.within === undefined ? heightPast(wish, place, from, to, most) : undefined;
    if (past !== undefined && past >= wish.leastHeight) {
      if (past < wish.height) lowered.push(wish);
      placed.push({ ...wish, left: place, height: past, through: true });
    } else if (raked) {
      if (raked.highest < wish.height - 1 / 16) lowered.push(wish);
      placed.push({ ...wish, left: place, height: raked.height, rake: raked.rake });
    } else if (most < wish.leastHeight) left.push(wish);
    else {
      if (most < wish.height) lowered.push(wish);
      placed.push({ ...wish, left: place, height: Math.min(wish.height, most), ...bay });
    }
  };
  const reaches = (w: OpeningWish, at: number, q: PlacedOpening): boolean =>
    at - sideOf(w) < q.left + q.width + sideOf(q) - 1e-9 && at + w.width + sideOf(w) > q.left - sideOf(q) + 1e-9;
  /** Puts an opening over or under another, between the same studs, where it stands clear of what shares them already. */
  const stack = (wish: OpeningWish, placeIn: (o: PlacedOpening) => number): boolean => {
    for (const o of placed) {
      const at = placeIn(o);
      const clear = !placed.some((q) => q !== o && reaches(wish, at, q));
      const inner = bayIn(o, wish, at);
      if (inner && clear) {
        settle(wish, at, { within: o.id, ...inner });
        return true;
      }
      // Or the one that stands there already between the studs of this one.
      const outer = bayIn({ ...wish, left: at }, o, o.left);
      const alone = !placed.some((q) => q.within === o.id);
      if (!outer || !clear || !alone || o.within !== undefined || !fitsBetween(wish, at, from, to)) continue;
      const before = placed.length;
      settle(wish, at);
      if (placed.length === before) return true;
      placed[placed.indexOf(o)] = { ...o, within: wish.id, ...outer };
      return true;
    }
    return false;
  };

  // The wider one first: what stands over or under it shares its studs.
  for (const wish of wishes
    .filter((w) => w.at !== undefined)
    .sort((p, q) => q.width - p.width || p.bottom - q.bottom)) {
    const at = wish.at as number;
    const inside = fitsBetween(wish, at, from, to);
    const free = placed.every(
      (o) =>
        at - sideOf(wish) >= o.left + o.width + sideOf(o) - 1e-9 ||
        at + wish.width + sideOf(wish) <= o.left - sideOf(o) + 1e-9,
    );
    if (inside && free) settle(wish, at);
    else if (!inside || !stack(wish, () => at)) left.push(wish);
  }

  let loose = wishes.filter((w) => w.at === undefined);
  // The widest stretch takes as many as it can, then the next.
  const stretches = freeStretches(from, to, placed).sort((p, q) => q[1] - q[0] - (p[1] - p[0]));
  for (const [start, end] of stretches) {
    // At the wall's own ends some want to stand further in than others.
    const lead = (w: OpeningWish | undefined, atEnd: boolean): number => (w && atEnd && !mayShare(w) ? restOf(w) : 0);
    const taken = (list: readonly OpeningWish[]): number =>
      list.reduce((sum, w) => sum + w.width + 2 * sideOf(w), 0) +
      lead(list[0], start === from) +
      lead(list.at(-1), end === to);
    const kept: OpeningWish[] = [];
    const rest: OpeningWish[] = [];
    for (const wish of loose) {
      if (taken([...kept, wish]) <= end - start) kept.push(wish);
      else rest.push(wish);
    }
    const gap = (end - start - taken(kept)) / (kept.length + 1);
    let at = start + lead(kept[0], start === from);
    for (const wish of kept) {
      // Whole sixteenths, so that a tape can find the place.
      const wanted = sixteenth(at + gap + sideOf(wish));
      // A door stays in the middle; what is narrow moves to where a stud stands anyway.
      const caught =
        studsAt === undefined || wish.width > BLOCKED
          ? wanted
          : onStud(wish, wanted, Math.min(CATCH, gap / 2), studsAt);
      const place = besideEnds(wish, caught, from, to);
      if (fitsBetween(wish, place, from, to)) settle(wish, place);
      else rest.push(wish);
      at += gap + wish.width + 2 * sideOf(wish);
    }
    loose = rest;
  }
  // What found no room beside the others may find it over or under one.
  for (const wish of loose)
    if (!stack(wish, (o) => besideEnds(wish, sixteenth(o.left + (o.width - wish.width) / 2), from, to)))
      left.push(wish);
  return { placed, lowered, left };
};

/** How far an opening is moved so that a stud of the wall serves it. Common practice, no source. */
const CATCH = 5;

/** The place nearest to the one wished for, within reach, at which one of an opening's outer studs is one of the wall's own. */
const onStud = (w: OpeningWish, at: number, reach: number, spacing: number): number => {
  const side = openingSide(w);
  const places = [at - side, at + w.width + side - STUD].map((stud) => {
    const line = Math.round((stud + STUD / 2) / spacing) * spacing - STUD / 2;
    return at + line - stud;
  });
  const [best] = places.sort((p, q) => Math.abs(p - at) - Math.abs(q - at));
  return best !== undefined && Math.abs(best - at) <= reach && Math.abs(best * 16 - Math.round(best * 16)) < 1e-6
    ? best
    : at;
};

/** What must be left between an opening's outer stud and the end of the wall; nothing where the end stud may serve for it. */
const restOf = (w: OpeningWish): number => Math.max(STUD, (w.ends ?? 0) - sideOf(w));
const mayShare = (w: OpeningWish): boolean => !w.margin && w.ends === undefined;

/** Whether an opening's outer studs stand clear of a wall's end studs, or in their place. */
const fitsBetween = (w: OpeningWish, at: number, from: number, to: number): boolean => {
  const before = at - sideOf(w) - from;
  const after = to - (at + w.width + sideOf(w));
  const stands = (rest: number): boolean => rest >= restOf(w) - 1e-6 || (Math.abs(rest) < 1e-6 && mayShare(w));
  return stands(before) && stands(after);
};

/** Moves an opening whose outer stud would lie half on the wall's end stud until that serves for it, or clear of it. */
const besideEnds = (w: OpeningWish, at: number, from: number, to: number): number => {
  const before = at - sideOf(w) - from;
  const after = to - (at + w.width + sideOf(w));
  const rest = restOf(w);
  if (before < rest && before !== 0) {
    const onto = at - before;
    return mayShare(w) && before >= 0 ? onto : Math.ceil((onto + rest) * 16) / 16;
  }
  if (after < rest && after !== 0) {
    const onto = at + after;
    return mayShare(w) && after >= 0 ? onto : Math.floor((onto - rest) * 16) / 16;
  }
  return at;
};
