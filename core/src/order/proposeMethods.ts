import type { PanelLimits } from '../frame/index.ts';
import { bedOf, findTravels, OUT_BEHIND, planTrips, USUAL_TRAILER, weighCurb } from '../haul/index.ts';
import type { FlatLoad, Trailer, Travels } from '../haul/index.ts';
import { priceOrder } from '../price/index.ts';
import type { Price } from '../price/index.ts';
import type { FoundationPlan } from '../site/index.ts';
import { driveMinutes, measureLabour, measureRepeat, METHODS, planOperations, planSteps } from '../steps/index.ts';
import type { Method, Operation, Step } from '../steps/index.ts';
import { withItems } from '../stock/index.ts';
import { takesOf } from '../takeoff/index.ts';
import type { Takeoff } from '../takeoff/index.ts';
import type { Build } from '../unit/index.ts';
import type { BusinessRules } from './businessRules.ts';
import { giveTakes } from './giveTakes.ts';
import { CREW } from './methodRules.ts';
import type { MethodRules } from './methodRules.ts';

/** What decides between methods beside the unit itself. */
export interface MethodSite {
  readonly miles?: number;
  /** Narrowest way in, inches. */
  readonly gate?: number;
  readonly trailers?: readonly Trailer[];
  readonly quantity?: number;
}

/** What one method would come to. Minutes, working days, cents. */
export interface Proposal {
  readonly method: Method;
  /** What is built by it, and what it takes: panels end on studs of their own. */
  readonly build: Build;
  readonly takeoff: Takeoff;
  readonly possible: boolean;
  /** What stands against it, or what speaks for it. */
  readonly reasons: readonly string[];
  readonly steps: readonly Step[];
  readonly operations: readonly Operation[];
  /** Labour for one unit, on average where there are several. */
  readonly shop: number;
  readonly site: number;
  readonly customer: number;
  readonly road: number;
  /** Days in the shop, and days on which somebody is on site. */
  readonly shopDays: number;
  readonly siteDays: number;
  readonly trips: number;
  readonly nights: number;
  readonly travels: readonly Travels[];
  readonly trailer: Trailer;
  /** What it takes of a trailer where it lies flat and one trip brings it. */
  readonly load?: FlatLoad;
  readonly price: Price;
}

/** A proposal for each method, and the one that is taken where nobody says otherwise. */
export interface MethodPlan {
  readonly method: Method;
  readonly why: string;
  /** The proposal of the method that is asked for, or taken. */
  readonly chosen: Proposal;
  /** All of them; counted out when they are first asked for. */
  readonly proposals: readonly Proposal[];
}

/** A shop's day for a crew, minutes. */
const SHOP_DAY = 480;

/** People who lift a panel together, for a kit those whom a customer has. */
const liftersFor = (method: Method, rules: MethodRules): number => (method === 'kit' ? 2 : rules.lifters);

/** Panels that nobody carries, or that do not pass the trailer, the road or the way in. */
const tooLarge = (
  travels: readonly Travels[],
  method: Method,
  trailer: Trailer,
  width: number,
  site: MethodSite,
  rules: MethodRules,
): readonly { readonly panel: Travels; readonly why: string }[] =>
  travels.flatMap((panel) => {
    if (panel.kind !== 'panel') return [];
    const most = liftersFor(method, rules);
    const people = Math.ceil(panel.weight / rules.lift);
    const [long, high] = panel.size;
    const edge = Math.min(panel.size[1], panel.size[2]) + rules.hands;
    const why =
      people > most
        ? `weighs ${Math.round(panel.weight)} lb: ${people} people would carry it, ${most} are there`
        : long > trailer.bedLength + OUT_BEHIND
          ? `is ${Math.round(long)}″ long; the bed takes ${trailer.bedLength + OUT_BEHIND}″`
          : high > width
            ? `is ${Math.round(high)}″ high; lying flat the road allows ${width}″`
            : site.gate !== undefined && edge > site.gate
              ? `does not pass a way in of ${site.gate}″`
              : undefined;
    return why === undefined ? [] : [{ panel, why }];
  });

/** What keeps a unit from a method, in sentences. */
const against = (
  build: Build,
  method: Method,
  travels: readonly Travels[],
  problems: readonly string[],
  large: ReturnType<typeof tooLarge>,
  site: MethodSite,
  rules: MethodRules,
): string[] => {
  const out = problems.map((p) => `${p[0]?.toUpperCase() ?? ''}${p.slice(1)}.`);
  if (build.facts.indoors && method !== 'on-site')
    out.push('It is built between the walls of another building, to their measure.');
  for (const t of travels.filter((u) => u.kind === 'unit'))
    if (site.gate !== undefined && t.across + rules.hands > site.gate)
      out.push(
        `It is ${Math.round(t.across)}″ across and wants ${Math.ceil(t.across + rules.hands)}″; the way in is ${site.gate}″.`,
      );
  if (method === 'whole' || method === 'on-site') return out;
  const panels = travels.filter((t) => t.kind === 'panel');
  if (method === 'kit') out.push(...large.map(({ panel, why }) => `The ${panel.name} ${why}.`));
  if (method === 'kit' && panels.length > rules.kitMost)
    out.push(`${panels.length} panels are more than a customer joins in a weekend.`);
  if (method === 'panels' && panels.length <= large.length)
    out.push('None of its panels can be carried or driven: it is framed where it stands.');
  return out;
};

/** What speaks for a method that can be. */
const speaksFor = (
  build: Build,
  method: Method,
  travels: readonly Travels[],
  large: ReturnType<typeof tooLarge>,
): string => {
  const heaviest = Math.round(Math.max(0, ...travels.filter((t) => t.kind !== 'bundle').map((t) => t.weight)));
  switch (method) {
    case 'whole':
      return build.assemblies.some((a) => a.apart === true)
        ? 'The house goes whole; its run goes as panels and is joined on site.'
        : `It fits the trailer, the road and the way in: ${heaviest} lb, set down as one.`;
    case 'panels':
      return [
        `${travels.filter((t) => t.kind === 'panel').length} panels made flat and dry in the shop, the heaviest ${heaviest} lb.`,
        ...large.map(({ panel, why }) => `The ${panel.name} ${why}, so it is framed on site.`),
      ].join(' ');
    case 'on-site':
      return build.facts.indoors
        ? 'Cut in the shop, framed where it stands, to the walls as they are.'
        : 'Cut in the shop, framed where it stands: no panel is too large.';
    case 'kit':
      return 'The customer joins numbered panels; we cut, frame, pack and bring them.';
  }
};

interface Judged {
  readonly method: Method;
  /** Its long walls in panels, where they are carried. */
  readonly build: Build;
  readonly travels: readonly Travels[];
  readonly trailer: Trailer;
  readonly trips: number;
  /** All that is brought, pounds. */
  readonly weight: number;
  readonly there: ReadonlySet<string>;
  readonly possible: boolean;
  readonly reasons: readonly string[];
}

/** Whether a method can be, with the trailer that serves it best, before anything is counted. */
const judge = (
  whole: Build,
  inPanels: (limits: PanelLimits) => Build,
  method: Method,
  foundation: FoundationPlan,
  site: MethodSite,
  rules: BusinessRules,
): Judged => {
  const limits = { width: rules.check.loadWidth, overBed: rules.check.loadHeight };
  const fleet = site.trailers && site.trailers.length > 0 ? site.trailers : [USUAL_TRAILER];
  const brought = (foundation.weight + weighCurb(whole)) * (site.quantity ?? 1);
  const carried = method === 'panels' || method === 'kit';
  const build = carried
    ? inPanels({
        long: Math.max(...fleet.map((t) => t.bedLength)) + OUT_BEHIND,
        weight: rules.method.lift * liftersFor(method, rules.method),
      })
    : whole;
  const all = findTravels(build, method);
  const [best] = fleet
    .map((trailer) => {
      const large = carried ? tooLarge(all, method, trailer, limits.width, site, rules.method) : [];
      const there = new Set(method === 'panels' ? large.map((l) => l.panel.id) : []);
      const travels = there.size > 0 ? findTravels(build, method, there) : all;
      const plan = planTrips(travels, trailer, limits, site.quantity ?? 1, brought);
      const reasons = against(
        build,
        method,
        all,
        method === 'kit' && large.length > 0 ? [] : plan.problems,
        large,
        site,
        rules.method,
      );
      return { trailer, large, there, travels, plan, reasons };
    })
    .sort(
      (a, b) =>
        a.reasons.length - b.reasons.length ||
        a.there.size - b.there.size ||
        a.plan.trips - b.plan.trips ||
        a.trailer.carries - b.trailer.carries,
    );
  // There is always one trailer at the least.
  const { trailer, large, there, travels, plan, reasons } = best as NonNullable<typeof best>;
  return {
    method,
    build,
    travels,
    trailer,
    trips: plan.trips,
    weight: plan.weight,
    there,
    possible: reasons.length === 0,
    reasons: reasons.length > 0 ? reasons : [speaksFor(build, method, travels, large)],
  };
};

/** What a method comes to: steps, blocks of work, days, trips, nights and price. */
const countOut = (
  judged: Judged,
  takeoffOf: (build: Build) => Takeoff,
  foundation: FoundationPlan,
  site: MethodSite,
  rules: BusinessRules,
): Proposal => {
  const { miles = 0, quantity = 1 } = site;
  const { build, method, there, trips } = judged;
  const bed = trips === 1 ? bedOf(judged.travels, quantity) : undefined;
  const takeoff = takeoffOf(build);
  const steps = planSteps(build, { rates: rules.labour, miles, method, there, foundation, quantity });
  const repeat = measureRepeat(quantity, rules.labour.learning);
  const operations = giveTakes(
    planOperations(steps, repeat, build.facts.indoors === true),
    takesOf(build, takeoff, quantity),
  );
  const labour = measureLabour(steps, repeat);
  const drive = driveMinutes(miles, rules.labour);
  const work = labour.site / CREW;
  const away = drive > rules.method.nightFrom;
  const perDay = Math.max(60, rules.method.siteDay - (away ? 0 : 2 * drive));
  const dries = steps.some((s) => s.id === 'site-coat-1') ? 2 : 0;
  const siteDays = Math.max(1, Math.ceil(work / perDay - 1e-9)) + dries;
  const nights = away ? siteDays - 1 : 0;
  // The trailer goes its trips; the crew drives on every further day that it does not stay.
  const drives = Math.max(trips, away ? 1 : siteDays);
  const price = priceOrder(
    takeoff,
    steps,
    {
      miles,
      quantity,
      repeat,
      trips,
      crewMinutes: Math.max(0, drives - trips) * 2 * drive * CREW,
      nights: nights * CREW,
      night: rules.method.night,
      foundation: foundation.cost,
    },
    rules.price,
  );
  return {
    method,
    build,
    takeoff,
    possible: judged.possible,
    reasons: judged.reasons,
    steps,
    operations,
    shop: labour.bench / quantity,
    site: labour.site / quantity,
    customer: labour.customer / quantity,
    road: 2 * drive * drives,
    shopDays: Math.max(1, Math.ceil(labour.bench / CREW / SHOP_DAY - 1e-9)),
    siteDays,
    trips,
    nights,
    travels: judged.travels,
    trailer: judged.trailer,
    ...(bed === undefined ? {} : { load: { bed, weight: judged.weight } }),
    price,
  };
};

/** Order in which methods are preferred where they can be: what is made in the dry costs least trouble. A kit is sold only where it is asked for. */
const PREFERRED: readonly Method[] = ['whole', 'panels', 'on-site'];

/**
 * What each method would come to for a unit, and which one is proposed: a kit where it is sold as one, else the first that can be.
 * @param options the method that is asked for; in a quick look nothing but the one that is taken is counted out
 */
export const proposeMethods = (
  build: Build,
  made: { readonly inPanels: (limits: PanelLimits) => Build; readonly takeoffOf: (build: Build) => Takeoff },
  foundation: FoundationPlan,
  site: MethodSite,
  rules: BusinessRules,
  options: { readonly chosen?: Method; readonly quick?: boolean } = {},
): MethodPlan => {
  const judged = METHODS.map((m) => judge(build, made.inPanels, m, foundation, site, rules));
  const can = (m: Method): boolean => judged.some((p) => p.method === m && p.possible);
  const proposed: Method = build.facts.knockDown && can('kit') ? 'kit' : (PREFERRED.find(can) ?? 'on-site');
  const method = options.chosen ?? proposed;
  const [whole, taken] = ['whole', proposed].map((m) => judged.find((p) => p.method === m)) as [Judged, Judged];
  const count = (p: Judged): Proposal => countOut(p, made.takeoffOf, foundation, site, rules);
  const chosen = count(judged.find((p) => p.method === method) as Judged);
  let all: readonly Proposal[] | undefined;
  return {
    method: proposed,
    why:
      proposed === 'whole' || whole.possible
        ? (taken.reasons[0] ?? '')
        : [whole.reasons[0] ?? '', ...(taken.possible ? [taken.reasons[0] ?? ''] : [])].join(' '),
    chosen,
    // What is not chosen has cuttings of its own: nothing takes longer, and few look at it.
    get proposals() {
      all ??= withItems(rules.items, () =>
        judged
          .filter((p) => options.quick !== true || p.method === method)
          .map((p) => (p.method === method ? chosen : count(p))),
      );
      return all;
    },
  };
};
