import type { SiteBrief } from './siteBrief.ts';

/** Keys of what a customer prepares and confirms. */
export const PREPARE = ['ground', 'gate', 'turning', 'services', 'permits', 'litter', 'birds', 'home'] as const;
export type PrepareKey = (typeof PREPARE)[number];

/** Something that a customer prepares, in their words. */
export interface PrepareItem {
  readonly key: PrepareKey;
  readonly title: string;
  readonly text: string;
}

/** What is known of the site when the customer is told. */
export interface PrepareSite {
  /** Fall from corner to corner, where it was surveyed; inches. */
  readonly fall?: number;
  /** Narrowest way in, where it was measured. */
  readonly gate?: number;
}

const inches = (n: number): string => `${Math.ceil(n - 1e-6)}″`;
/** Room beside and over what is carried in. */
const BESIDE = 6;
/** Turf that comes off beyond the unit on all sides. Common practice, no source. */
const BEYOND = 12;
/** Depth of litter to start with, and what a bale of shavings opens to, cubic feet (from memory). */
const LITTER = 5;
const BALE = 8;
/** Pounds that two people bear by themselves. */
const HEAVY = 140;

const hours = (minutes: number): string => {
  const n = Math.max(0.5, Math.round(minutes / 30) / 2);
  return n < 1 ? 'half an hour' : n === 1 ? 'an hour' : `${n} hours`;
};

/** Equal units that come; briefs kept from before speak of one. */
const unitsOf = (b: Pick<SiteBrief, 'units'>): number => b.units ?? 1;

/** What is said of one, and of each of several. */
const each = (b: Pick<SiteBrief, 'units'>, one: string, many: string): string => (unitsOf(b) > 1 ? many : one);

/** Ground work, by what the unit stands on. */
const ground = (b: SiteBrief, site: PrepareSite): string => {
  if (b.indoors)
    return 'Clear the floor and the walls where it will stand, 24″ beyond it, and sweep: it is built to the walls as they are.';
  if (b.grazes) return 'Mow it short and take stones out; nothing else is needed under a pen.';
  if (b.movable) return 'Mow it short and take stones out: firm, nearly level ground is all it needs.';
  const { kind, pads, blocks, pavers, stone, concrete } = b.foundation;
  const [long, wide] = b.footprint;
  const turf = `Take off the turf ${inches(BEYOND)} beyond ${each(b, 'it', 'each')} on all sides, ${each(b, 'a place', `${unitsOf(b)} places`)} of ${inches(long + 2 * BEYOND)} by ${inches(wide + 2 * BEYOND)}.`;
  const fall =
    site.fall !== undefined && site.fall > 0
      ? ` We measured a fall of ${inches(site.fall)} from corner to corner.`
      : '';
  const out: string[] = [];
  for (const c of concrete)
    out.push(
      c.kind === 'slab'
        ? `${each(b, 'A slab', `${unitsOf(b)} slabs, each`)} of ${inches(c.length)} by ${inches(c.width)}, ${inches(c.depth)} thick, poured ${c.cureDays} days before we come: corner to corner ${inches(c.diagonal)} both ways, level within ¼″. We bring the ${c.anchors * unitsOf(b)} anchors.`
        : `${each(b, 'A ring', `${unitsOf(b)} rings, each`)} of concrete of ${inches(c.length)} by ${inches(c.width)} outside, ${inches(c.wide ?? 6)} wide and ${inches(c.depth)} deep, poured ${c.cureDays} days before we come: corner to corner ${inches(c.diagonal)} both ways, level within ¼″. We bring the ${c.anchors * unitsOf(b)} anchors.`,
    );
  if (concrete.length > 0) out.push('Whoever pours it asks your town how deep the frost goes.');
  if (stone > 0)
    out.push(`${turf} ${stone * unitsOf(b)} cubic yards of ¾ in stone, raked level 5″ deep, before we come.`);
  else if (kind === 'bare ground')
    out.push(
      `${turf} Level, bare soil is all ${each(b, 'it', 'each')} needs${b.method === 'kit' ? ', scraped and tamped' : '; we scrape and tamp it'}.`,
    );
  if (pads > 0) {
    const [it, forEach] = [each(b, 'It', `Each of the ${unitsOf(b)}`), each(b, '', ' for each')];
    const made = [...(blocks > 0 ? [`${blocks} blocks`] : []), ...(pavers > 0 ? [`${pavers} pavers`] : [])].join(
      ' and ',
    );
    out.push(
      b.method === 'kit'
        ? `${concrete.length > 0 ? '' : `${turf} `}${it} stands on ${pads} pads: you set ${made}${forEach}, which we bring.`
        : `${concrete.length > 0 ? '' : `${turf} `}${it} stands on ${pads} pads; we bring the ${made}${forEach} and set them.`,
    );
  }
  return `${out.join(' ')}${fall}`;
};

/** The way in, for what is really carried. */
const way = (b: SiteBrief, site: PrepareSite): string => {
  const { what, across, high, long, weight } = b.carried;
  const needed = across + BESIDE;
  const size =
    what === 'unit'
      ? `${each(b, 'The unit is', 'Each is')} ${inches(across)} wide and ${inches(high)} high as it comes`
      : what === 'panel'
        ? `It comes as panels, carried in on edge: up to ${inches(long)} long and ${inches(high)} high`
        : `It comes as sticks and sheets up to ${inches(long)} long`;
  if (what !== 'unit') return `${size}. Keep the way clear, 36″ wide, with room to turn ${inches(long)}.`;
  if (site.gate !== undefined)
    return site.gate >= across + 2
      ? `We measured ${inches(site.gate)} at the narrowest place: ${each(b, 'the unit', 'each')} of ${inches(across)} passes. Keep it clear on the day.`
      : `We measured ${inches(site.gate)} at the narrowest place and ${each(b, 'the unit', 'each')} is ${inches(across)} wide: we will ask you how to bring it in.`;
  return `${size}, and weighs ${Math.round(weight)} lb: the narrowest place on its way must be ${inches(needed)}, with ${inches(high + BESIDE)} under branches and wires.`;
};

/** What to do on the day: who comes, for how long. */
const home = (b: SiteBrief): string => {
  if (b.own)
    return `We unload ${b.panels * unitsOf(b)} numbered panels, the bags and the leaflet. You join them in about ${hours(b.own.minutes)} of work with ${b.own.helpers === 1 ? 'one helper' : `${b.own.helpers} helpers`}: a driver, a ladder and a level.`;
  if (b.days > 1)
    return `${b.people} of us are with you on ${b.days} days${b.painted && b.method === 'on-site' ? ', with a night between coats' : ''}. Be there when we begin and for half an hour at the end: we show you the latches, the inside release and how to start. We need a plug.`;
  const time = hours(b.siteMinutes / b.people);
  if (unitsOf(b) > 1)
    return `Setting the ${unitsOf(b)} takes us about ${time}. Be there when we begin and for half an hour at the end: we show you ${
      b.movable
        ? `how they are moved, where to hold them${b.wheels ? ', how the wheels go down' : ''} and how to stake them in wind`
        : 'the latches, the inside release and how to start'
    }.`;
  return b.movable
    ? `${time[0]?.toUpperCase() ?? ''}${time.slice(1)} of your time when we come: we show you how it is moved, where to hold it${b.wheels ? ', how the wheels go down' : ''} and how to stake it in wind.`
    : `${time[0]?.toUpperCase() ?? ''}${time.slice(1)} when we come: we show you the latches, the inside release and how to start.`;
};

/** Bales of shavings for a floor at the usual depth. */
export const balesFor = (squareFeet: number): number => Math.ceil((squareFeet * LITTER) / 12 / BALE - 1e-9);

const litter = (b: SiteBrief): string => {
  if (b.floor < 1)
    return b.movable
      ? 'A hanging feeder and a bucket with nipples. It has no floor: no litter.'
      : 'It has no floor of its own: bring chips or straw 4 to 8″ deep for the ground inside, a feeder and water.';
  const units = unitsOf(b);
  const bales = balesFor(b.floor * units);
  return `${units > 1 ? `The floors of the ${units} are ${Math.round(b.floor * units)}` : `Its floor is ${Math.round(b.floor)}`} sq ft: ${bales} ${bales === 1 ? 'bale of shavings lies' : 'bales of shavings lie'} ${LITTER}″ deep, and a handful goes in every nest. A feeder and water.`;
};

/** What a customer prepares for a unit, with its own sizes: only what is true of it and of the way in which it is made. */
export const prepareItems = (b: SiteBrief, site: PrepareSite = {}): PrepareItem[] => {
  const out: PrepareItem[] = [
    {
      key: 'ground',
      title: b.indoors ? 'Clear the place' : b.movable ? 'Mow the place' : 'Make the ground ready',
      text: ground(b, site),
    },
    { key: 'gate', title: b.indoors ? 'The way in' : 'Measure the way in', text: way(b, site) },
    {
      key: 'turning',
      title: 'Room for the trailer',
      text: `50 ft of straight, firm ground to stop on${b.trips > 1 ? `, for ${b.trips} trips` : ''}. Tell us if the ground is soft when wet.`,
    },
  ];
  const digs = !b.movable && !b.indoors;
  if (digs)
    out.push({
      key: 'services',
      title: 'Find buried services',
      text: 'Have buried pipes and cables located before any digging, and look up for overhead lines.',
    });
  if (!b.indoors && !b.movable)
    out.push({
      key: 'permits',
      title: 'Ask about permits',
      text: 'Local codes, setbacks and homeowner rules decide whether it may stand there; your town hall knows.',
    });
  out.push(
    { key: 'litter', title: b.floor < 1 ? 'Feed and water' : 'Litter and feed', text: litter(b) },
    {
      key: 'birds',
      title: 'Moving day for the birds',
      text: b.grazes
        ? 'Put them in at night. Move the pen a length a day at first, slowly, and look behind it: stragglers at its tail get hurt.'
        : 'Move them at night, straight on to the roost, and keep them in for some days. Take the old house away or they go back to it.',
    },
    { key: 'home', title: b.own ? 'Joining it' : 'Be at home', text: home(b) },
  );
  if (b.own && b.carried.weight > HEAVY)
    out[out.length - 1] = {
      ...(out.at(-1) as PrepareItem),
      text: `${home(b)} The heaviest panel weighs ${Math.round(b.carried.weight)} lb: lift it together.`,
    };
  return out;
};

/** What happens on the day, in order: only what this unit and its method bring with them. */
export const dayItems = (b: SiteBrief): string[] => [
  'We call when we leave.',
  'We walk the way in with you before anything is unloaded.',
  ...(b.own
    ? ['We unload and count the panels with you, and go through the leaflet.']
    : [
        ...(b.indoors
          ? ['Lines on floor and walls, level and plumb, then the framing between them.']
          : b.foundation.pads > 0
            ? ['Pads to the heights of the list, level both ways.']
            : b.foundation.concrete.length > 0
              ? ['The concrete is measured corner to corner and for level.']
              : b.movable
                ? []
                : ['The ground is scraped, tamped and checked with the level.']),
        b.method === 'whole'
          ? b.movable
            ? `${each(b, 'The unit', 'Each')} comes off the trailer and is tried: moved its own length.`
            : `${each(b, 'The unit', 'Each')} is set, shimmed and checked: doors swing, latches close.`
          : b.method === 'panels'
            ? `The ${b.panels} panels${each(b, '', ' of each')} are stood, joined and roofed; doors are hung and tried.`
            : `It is framed, skinned${b.indoors ? '' : ', roofed'}${b.painted ? ' and coated' : ''} where it stands; doors are hung and tried.`,
        ...(b.painted && b.method === 'panels' ? ['What was sawn here is painted.'] : []),
        'We pick up every staple and end of mesh.',
        b.movable ? 'We show you how it is moved and staked.' : 'We show you every latch and the inside release.',
      ]),
];

/** What helps in the first weeks: of the birds, and of the unit as it is. */
export const startItems = (b: Pick<SiteBrief, 'movable' | 'floor' | 'indoors' | 'grazes' | 'wheels'>): string[] => [
  ...(b.movable
    ? [
        b.grazes
          ? `Move it every day while birds are in it, its own length, slowly${b.wheels ? '; wheels down only while it moves' : ''}.`
          : 'Tow it on when the ground around it is worn: straight, at a walk, with the birds shut in or out.',
        'Stake it or rope it down before a storm; point its closed end into the wind.',
      ]
    : ['Move birds at night, straight on to the roost; keep them in for some days.']),
  'Feed in the middle of the run, dry. Scraps only what is eaten the same day.',
  'Never hang a heat lamp where it can fall: fire.',
  b.floor < 1
    ? 'If it smells, there are too many birds or they stand too long on one place.'
    : 'If it smells, there are too many birds or the litter is spent.',
  b.movable || b.indoors
    ? 'Check latches and mesh after the first month and after every winter.'
    : 'Check level and latches after the first month and after every winter.',
];
