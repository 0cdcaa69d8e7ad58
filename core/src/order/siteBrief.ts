import type { ConcretePlan, FoundationKind, FoundationPlan } from '../site/index.ts';
import type { Method } from '../steps/index.ts';
import { measurePartsMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { CREW } from './methodRules.ts';
import type { Proposal } from './proposeMethods.ts';

/** What the customer of a unit must know of its coming, taken from the unit and the way in which it is made. Inches, pounds, minutes. */
export interface SiteBrief {
  readonly method: Method;
  /** Equal units that come; briefs kept from before speak of one. */
  readonly units?: number;
  readonly movable: boolean;
  readonly indoors: boolean;
  /** Moved from grass to grass with birds in it; another that is moved is towed when its ground is worn. */
  readonly grazes: boolean;
  readonly wheels: boolean;
  /** What is carried in: its narrower side and its height as it is carried, and what it is. */
  readonly carried: {
    readonly what: 'unit' | 'panel' | 'bundle';
    readonly name: string;
    readonly across: number;
    readonly high: number;
    readonly long: number;
    readonly weight: number;
  };
  readonly panels: number;
  readonly days: number;
  readonly people: number;
  readonly trips: number;
  /** Labour on site for all of them. */
  readonly siteMinutes: number;
  /** The customer's own work on a kit, and who helps them to lift its heaviest panel. */
  readonly own?: { readonly minutes: number; readonly helpers: number };
  readonly foundation: {
    readonly kind: FoundationKind;
    readonly pads: number;
    readonly blocks: number;
    readonly pavers: number;
    /** Cubic yards of stone under skids. */
    readonly stone: number;
    readonly concrete: readonly ConcretePlan[];
  };
  /** Floor that litter lies on, square feet; none where birds stand on grass. */
  readonly floor: number;
  /** The ground that it covers, with what reaches beyond, for the turf that comes off. */
  readonly footprint: readonly [number, number];
  /** What it rests on: `[minX, minY, maxX, maxY]`. */
  readonly base: readonly [number, number, number, number];
  readonly painted: boolean;
}

/** The brief of a unit made by a method. */
export const briefSite = (
  build: Build,
  chosen: Pick<Proposal, 'method' | 'siteDays' | 'trips' | 'site' | 'customer' | 'travels'>,
  foundation: FoundationPlan,
  { lift, units }: { readonly lift: number; readonly units: number },
): SiteBrief => {
  const { facts } = build;
  const { travels } = chosen;
  // A panel goes on edge: its lesser side is its width, its middle one how high it is carried.
  const widest = [...travels].sort(
    (a, b) =>
      Number(b.kind === 'unit') - Number(a.kind === 'unit') ||
      Number(b.kind === 'panel') - Number(a.kind === 'panel') ||
      b.size[1] - a.size[1],
  )[0];
  const kindOf = widest?.kind ?? 'bundle';
  const floors = build.parts.filter((p) => p.role === 'floor' && p.assembly !== 'ceiling');
  const soles = foundation.concrete.filter((c) => c.kind === 'slab');
  const heaviest = Math.max(0, ...travels.filter((t) => t.kind === 'panel').map((t) => t.weight));
  const [x0, y0, x1, y1] = facts.base;
  return {
    method: chosen.method,
    units,
    movable: facts.movable,
    indoors: facts.indoors === true,
    grazes: facts.movable && (build.capacity.runArea ?? 0) > 0,
    wheels: build.parts.some((p) => p.role === 'wheel'),
    carried: {
      what: kindOf,
      name: widest?.name ?? 'bundles',
      across: kindOf === 'unit' ? (widest?.across ?? 0) : (widest?.size[2] ?? 0),
      high: kindOf === 'unit' ? (widest?.size[2] ?? 0) : (widest?.size[1] ?? 0),
      // The longest of them says how much room it takes to turn.
      long: Math.max(0, ...travels.filter((t) => t.kind === kindOf).map((t) => t.size[0])),
      weight: widest?.weight ?? measurePartsMass(build.parts).weight,
    },
    panels: travels.filter((t) => t.kind === 'panel').length,
    days: chosen.siteDays,
    people: CREW,
    trips: chosen.trips,
    siteMinutes: Math.round(chosen.site * units),
    ...(chosen.method === 'kit'
      ? { own: { minutes: Math.round(chosen.customer * units), helpers: Math.max(1, Math.ceil(heaviest / lift) - 1) } }
      : {}),
    foundation: {
      kind: foundation.kind,
      pads: foundation.supports.length,
      blocks: foundation.supports.reduce((n, s) => n + s.blocks, 0),
      pavers: foundation.supports.reduce((n, s) => n + s.pavers, 0),
      stone: build.joints.reduce(
        (n, j) => n + j.hardware.reduce((m, h) => m + (h.item === 'stone' ? h.count : 0), 0),
        0,
      ),
      concrete: foundation.concrete,
    },
    floor:
      (floors.reduce((n, p) => n + p.length * p.width, 0) + soles.reduce((n, c) => n + c.length * c.width, 0)) / 144,
    footprint: [x1 - x0, y1 - y0],
    base: facts.base,
    painted: build.parts.some((p) => p.role === 'siding'),
  };
};
