import { CREW_RULES } from '@rubbet/core/crews';
import { BUSINESS } from '@rubbet/core/order';
import type { Visit } from './board.answers.ts';
import { openDaysOf } from '../calendar/openDays.ts';
import type { Block, BoardState } from './readBoard.ts';
import { restOf, toShop } from './toShop.ts';

const TODAY = '2026-05-04';
/** A Monday at ten in the morning. */
const NOW = 600;
const visit = (day: string, from: number, to: number, more: Partial<Visit> = {}): Visit => ({
  start: { day, minute: from },
  end: { day, minute: to },
  dry: { day, minute: to },
  people: ['1'],
  trailer: null,
  pieces: [{ day, from, to }],
  ...more,
});
const block = (op: string, more: Partial<Block> = {}): Block => ({
  id: `7/${op}`,
  order_id: 7,
  op,
  name: op,
  station: 'saw',
  place: 'shop',
  minutes: 120,
  crew: 1,
  least: 1,
  most: 2,
  driving: 0,
  way: 0,
  setup: 0,
  stops: [],
  spans: true,
  dry: 0,
  needs: [],
  overlaps: {},
  takes: [],
  size: null,
  row: 'saw',
  visits: [],
  from_day: null,
  pinned: false,
  done: false,
  version: 1,
  wanted_by: '2026-05-20',
  title: 'Sorrel',
  ...more,
});
const drive = (more: Partial<Block> = {}): Block =>
  block('deliver', {
    station: 'road',
    place: 'road',
    row: null,
    minutes: 180,
    driving: 90,
    way: 45,
    least: 2,
    ...more,
  });
type Parts = Partial<Omit<BoardState, 'shop'>>;
const state = (blocks: readonly Block[], more: Parts = {}): Omit<BoardState, 'shop'> => ({
  today: TODAY,
  now: NOW,
  business: { ...BUSINESS, opens: '08:00', dayMinutes: 480, workdays: [1, 2, 3, 4, 5] },
  rules: { ...CREW_RULES, confirm: 2 },
  trips: new Map(),
  hops: [],
  blocks,
  days: [],
  forecast: [],
  crews: [],
  places: [
    { id: 'Saw', kind: 'saw', row: 'saw' },
    { id: 'Bay 1', kind: 'bay', row: 'bay-1' },
  ],
  people: [
    { id: 'Ines', key: '1', skills: ['saw', 'framing', 'driving', 'site', 'loading'], notes: new Map() },
    { id: 'Abel', key: '2', skills: ['driving', 'site'], notes: new Map() },
  ],
  trailers: [{ id: 'tilt', name: 'tilt trailer' }],
  open: openDaysOf([1, 2, 3, 4, 5], new Set()),
  takers: [],
  materials: new Map(),
  confirmed: new Map([[7, 2]]),
  alike: new Map(),
  away: { from: 120, night: 9000 },
  out: [],
  deliveries: new Map(),
  ...more,
});
const opOf = (s: ReturnType<typeof toShop>, id: string) => s.operations.find((o) => o.id === id);

describe('what is left of a block', () => {
  it.each([
    ['all of it before it begins', [visit(TODAY, 660, 780)], 1],
    ['half of it in the middle', [visit(TODAY, 540, 660)], 0.5],
    ['what lies on the days to come', [visit(TODAY, 480, 600), visit('2026-05-05', 480, 600)], 0.5],
    ['all of it where its time is over and it is not done', [visit('2026-05-01', 480, 600)], 1],
    ['all of it where it has no time', [], 1],
  ])('is %s', (_, visits, share) => {
    expect(restOf({ visits }, TODAY, NOW)).toBeCloseTo(share, 9);
  });
  it('is what is planned: work that has begun takes so much less, and goes on from now', () => {
    const shop = toShop(state([block('saw', { visits: [visit(TODAY, 540, 660)], minutes: 120 })]));
    expect(opOf(shop, '7/saw')?.minutes).toBe(60);
    expect(shop.published).toEqual([{ operation: '7/saw', start: 600, people: ['Ines'], place: 'Saw' }]);
    // At four minutes past it goes on with the next quarter.
    const late = toShop(state([block('saw', { visits: [visit(TODAY, 540, 660)] })], { now: 604 }));
    expect(late.published[0]?.start).toBe(615);
  });
});

describe('the shop that a board is', () => {
  it('leaves out what is done, but keeps a unit in the bay that it stands in', () => {
    const frame = block('frame', { station: 'bay', row: 'bay-1', done: true, visits: [visit('2026-05-01', 480, 600)] });
    const raise = block('raise', {
      station: 'bay',
      row: 'bay-1',
      needs: ['7/frame'],
      visits: [visit(TODAY, 660, 780)],
    });
    const shop = toShop(state([frame, raise]));
    expect(shop.operations.map((o) => o.id)).toEqual(['7/raise']);
    expect(shop.orders[0]?.bay).toBe('Bay 1');
    // Once nothing of it is left in the bay, that is free.
    expect(toShop(state([frame, drive()])).orders[0]?.bay).toBeUndefined();
    expect(toShop(state([{ ...raise, done: true }])).orders).toEqual([]);
  });
  it('sends nobody to a site that its customer has not said is ready, until work has begun there', () => {
    const nobody = { confirmed: new Map() };
    expect(toShop(state([drive()], nobody)).orders[0]?.ready).toBe('2026-05-06');
    expect(toShop(state([drive()])).orders[0]?.ready).toBeUndefined();
    const site = block('site', { station: 'site', place: 'site', row: null, visits: [visit(TODAY, 480, 720)] });
    expect(toShop(state([site], nobody)).orders[0]?.ready).toBeUndefined();
    const never = { ...nobody, rules: { ...CREW_RULES, confirm: 0 } };
    expect(toShop(state([drive()], never)).orders[0]?.ready).toBeUndefined();
  });
  it('begins no work before what it is made of is there; who says a day knows it better', () => {
    const short = { day: '2026-05-08', coming: [], buy: ['2×4'], orderBy: null };
    const materials = new Map([['7/saw', short]]);
    expect(opOf(toShop(state([block('saw')], { materials })), '7/saw')?.from).toBe('2026-05-08');
    const said = block('saw', { from_day: '2026-05-06' });
    expect(opOf(toShop(state([said], { materials })), '7/saw')?.from).toBe('2026-05-06');
    const here = block('saw', { from_day: TODAY });
    expect(opOf(toShop(state([here], { materials })), '7/saw')?.from).toBeUndefined();
  });
  it('pins what was put by hand and is to come, and deliveries that are agreed on', () => {
    const mine = block('saw', { pinned: true, visits: [visit('2026-05-05', 480, 600)] });
    expect(toShop(state([mine])).pins.map((p) => [p.operation, p.start])).toEqual([['7/saw', 1440 + 480]]);
    const gone = block('saw', { pinned: true, visits: [visit(TODAY, 480, 540)] });
    expect(toShop(state([gone])).pins).toEqual([]);
    // There at ten on Thursday, an hour's way before that: 45 minutes, as the quarter has it.
    const deliveries = new Map([[7, { day: '2026-05-07', arrives: '10:00', trailer: 'tilt' }]]);
    expect(toShop(state([drive()], { deliveries })).pins).toEqual([
      { operation: '7/deliver', start: 3 * 1440 + 555, trailer: 'tilt' },
    ]);
    // No trip leaves before the shop opens.
    const early = new Map([[7, { day: '2026-05-07', arrives: '08:15', trailer: 'tilt' }]]);
    expect(toShop(state([drive()], { deliveries: early })).pins[0]?.start).toBe(3 * 1440 + 480);
    // What lies beyond the days that are planned is not pinned yet.
    const far = new Map([[7, { day: '2027-01-07', arrives: '10:00', trailer: 'tilt' }]]);
    expect(toShop(state([drive()], { deliveries: far })).pins).toEqual([]);
  });
  it('has its calendar, what is out, and the rain that somebody says', () => {
    const day = (d: string, more: object = {}) => ({
      day: d,
      closed: false,
      note: '',
      closes: null,
      overtime: 0,
      rain: null,
      ...more,
    });
    const shop = toShop(
      state([block('saw')], {
        days: [
          day('2026-05-05', { closed: true }),
          day('2026-05-06', { closes: 840 }),
          day('2026-05-07', { overtime: 60 }),
          day('2026-05-08', { rain: 0.95 }),
        ],
        forecast: ['2026-05-01', '2026-05-08'].map((d) => ({
          day: d,
          rain: 0.1,
          low: 50,
          wind: 5,
          words: 'dry',
        })) as never,
        out: [
          { id: 1, kind: 'row', ref: 'saw', day: '2026-05-06', from: 480, to: null, note: '' },
          { id: 2, kind: 'trailer', ref: 'tilt', day: '2026-05-06', from: null, to: null, note: '' },
          { id: 3, kind: 'row', ref: 'saw', day: '2026-05-01', from: null, to: null, note: '' },
          { id: 4, kind: 'row', ref: 'no such row', day: '2026-05-06', from: null, to: null, note: '' },
        ],
      }),
    );
    expect(shop.closed).toEqual(['2026-05-05']);
    expect(shop.early).toEqual([{ day: '2026-05-06', to: 840 }]);
    expect(shop.overtime).toEqual({ minutes: CREW_RULES.overtime, days: ['2026-05-07'] });
    expect(shop.hours).toEqual([480, 960]);
    // What is behind is not told; of what is said the word counts, not the forecast.
    expect(shop.weather).toEqual([{ day: '2026-05-08', rain: 0.95, low: 50, wind: 5 }]);
    expect(shop.out).toEqual([
      { what: 'Saw', day: '2026-05-06', from: 480 },
      { what: 'tilt', day: '2026-05-06' },
    ]);
  });
});
