import fc from 'fast-check';
import { judgeAct, ORDER_ACTS, ROLES, UNDONE_WORDS } from './life.ts';
import type { OrderAct, OrderLife, Undone } from './life.ts';
import { placeOf, stationOf, STATIONS, STATION_NAMES } from './stations.ts';

const fresh: OrderLife = {
  flock: false,
  spec: false,
  survey: false,
  accepted: false,
  scheduled: false,
  work: null,
  deliverySet: false,
  delivered: false,
  handedOver: false,
  held: false,
  cancelled: false,
};
const accepted: OrderLife = { ...fresh, flock: true, spec: true, survey: true, accepted: true };
const planned: OrderLife = { ...accepted, scheduled: true };
const onBench: OrderLife = { ...planned, work: { touched: true, done: false } };
const built: OrderLife = { ...planned, work: { touched: true, done: true }, deliverySet: true };
const delivered: OrderLife = { ...built, delivered: true };
const ended: OrderLife = { ...delivered, handedOver: true };
const code = (o: OrderLife, act: OrderAct, role?: 'office' | 'shop' | 'driver') =>
  judgeAct(o, act, role && [role]).refusal?.code;

describe('the stations', () => {
  it('stand in the order of work', () =>
    expect(STATIONS.map((s) => STATION_NAMES[s])).toEqual([
      'Flock',
      'Build',
      'Ground',
      'Price',
      'Days',
      'Bench',
      'Road',
      'Hand-over',
    ]));
  it.each([
    [fresh, 'flock'],
    [{ ...fresh, flock: true, spec: true }, 'ground'],
    [accepted, 'days'],
    [planned, 'bench'],
    [onBench, 'bench'],
    [built, 'road'],
    // Built without ever having been on the board.
    [{ ...built, scheduled: false }, 'road'],
    [delivered, 'hand-over'],
    [ended, undefined],
  ])('%# are reached one after the other', (o, station) => expect(stationOf(o)).toBe(station));
  it('leave out what is on hold or cancelled', () => {
    expect(placeOf({ ...planned, held: true })).toBe('held');
    expect(placeOf({ ...planned, cancelled: true, held: true })).toBe('cancelled');
    expect(placeOf(ended)).toBe('done');
    expect(placeOf(planned)).toBe('bench');
  });
});

describe('what is refused because it is being built', () => {
  it.each<[OrderAct, RegExp]>([
    ['revise', /Propose a change order at the Build station/],
    ['quantity', /Copy it as a new order/],
    ['method', /Copy it as a new order/],
    ['customer', /Copy it as a new order/],
    ['take back acceptance', /Copy it as a new order/],
  ])('%s says what to do instead', (act, words) => {
    const { refusal } = judgeAct(onBench, act);
    expect(refusal?.why).toMatch(/logged work is never thrown away/);
    expect(refusal?.why).toMatch(words);
  });
  it('is what a change order is for, and nothing else', () => {
    expect(judgeAct(onBench, 'change order').refusal).toBeUndefined();
    expect(judgeAct(planned, 'change order').refusal?.code).toBe('not-begun');
    expect(judgeAct({ ...onBench, held: true }, 'change order').refusal?.code).toBe('on-hold');
    expect(judgeAct(delivered, 'change order').refusal?.code).toBe('delivered');
    expect(judgeAct(onBench, 'change order', ['shop']).refusal?.code).toBe('not-yours');
  });
});

describe('what is done at the customer’s', () => {
  it('is ticked after it is delivered, until it is handed over, by drivers too', () => {
    expect(judgeAct(delivered, 'work').refusal?.code).toBe('delivered');
    expect(judgeAct(delivered, 'work there', ['driver']).refusal).toBeUndefined();
    expect(judgeAct({ ...delivered, held: true }, 'work there').refusal?.code).toBe('on-hold');
    expect(judgeAct(ended, 'work there').refusal?.code).toBe('ended');
    expect(judgeAct(planned, 'work there').refusal?.code).toBe('no-work-order');
    expect(judgeAct(delivered, 'work', ['driver']).refusal?.code).toBe('not-yours');
  });
});

describe('what may happen to an order', () => {
  it.each<[string, OrderLife, OrderAct, string | undefined]>([
    ['a handed-over order is not revised', ended, 'revise', 'ended'],
    ['nor delivered again', ended, 'deliver', 'ended'],
    ['nor accepted', ended, 'accept', 'ended'],
    ['but copied', ended, 'copy', undefined],
    ['what is cut is not revised', onBench, 'revise', 'being-built'],
    ['nor its number changed', onBench, 'quantity', 'being-built'],
    ['nor its customer', onBench, 'customer', 'being-built'],
    ['nor its acceptance taken back', onBench, 'take back acceptance', 'being-built'],
    ['what is not built is not delivered', { ...onBench, deliverySet: true }, 'deliver', 'not-built'],
    ['nor what has no work order', { ...planned, deliverySet: true }, 'deliver', 'not-built'],
    ['nor what has no day', { ...built, deliverySet: false }, 'deliver', 'no-delivery'],
    ['delivering twice keeps the first time', delivered, 'deliver', 'delivered'],
    ['a delivery is taken back until it is handed over', delivered, 'take back delivery', undefined],
    ['and not after', ended, 'take back delivery', 'ended'],
    ['accepting twice makes no new price', accepted, 'accept', 'accepted'],
    ['nothing is accepted that is not built', { ...fresh, flock: true }, 'accept', 'no-spec'],
    ['a delivered unit is not revised', delivered, 'revise', 'delivered'],
    ['nor worked on', delivered, 'work', 'delivered'],
    ['what is on hold is not worked on', { ...onBench, held: true }, 'work', 'on-hold'],
    ['nor planned', { ...accepted, held: true }, 'plan days', 'on-hold'],
    ['but revised', { ...accepted, held: true }, 'revise', undefined],
    ['what is cancelled stays', { ...accepted, cancelled: true }, 'revise', 'cancelled'],
    ['until it is taken up again', { ...accepted, cancelled: true }, 'reopen', undefined],
    ['what is delivered is not cancelled', delivered, 'cancel', 'delivered'],
    ['only accepted orders go on the board', { ...fresh, spec: true }, 'plan days', 'not-accepted'],
    ['a handed-over order keeps its notes open', ended, 'write', undefined],
    ['handing over twice keeps the first time', ended, 'hand over', 'ended'],
  ])('%s', (_words, o, act, expected) => expect(code(o, act)).toBe(expected));

  it('is said with what it undoes', () => {
    expect(judgeAct({ ...planned, work: { touched: false, done: false } }, 'revise').undoes).toEqual([
      'acceptance',
      'days',
      'work order',
    ]);
    expect(judgeAct(fresh, 'revise').undoes).toEqual([]);
    expect(judgeAct(built, 'cancel').undoes).toEqual(['days', 'delivery day']);
    expect(judgeAct(planned, 'hold').undoes).toEqual(['days']);
  });
  it('is only what a sign-in covers', () => {
    expect(code(built, 'deliver', 'driver')).toBeUndefined();
    expect(code(built, 'deliver', 'shop')).toBe('not-yours');
    expect(code(onBench, 'work', 'driver')).toBe('not-yours');
    expect(code(fresh, 'revise', 'shop')).toBe('not-yours');
  });
});

const anyLife: fc.Arbitrary<OrderLife> = fc.record({
  flock: fc.boolean(),
  spec: fc.boolean(),
  survey: fc.boolean(),
  accepted: fc.boolean(),
  scheduled: fc.boolean(),
  work: fc.option(fc.record({ touched: fc.boolean(), done: fc.boolean() })),
  deliverySet: fc.boolean(),
  delivered: fc.boolean(),
  handedOver: fc.boolean(),
  held: fc.boolean(),
  cancelled: fc.boolean(),
});
const acts = Object.keys(ORDER_ACTS) as OrderAct[];

describe('for every order there could be', () => {
  it('logged work is never undone, and nothing moves that is over', () => {
    fc.assert(
      fc.property(anyLife, fc.constantFrom(...acts), (o, act) => {
        const { refusal, undoes } = judgeAct(o, act);
        if (refusal) {
          expect(undoes).toEqual([]);
          expect(refusal.why).toMatch(/^[A-Z].*\.$/);
        }
        if (o.work?.touched) expect(undoes).not.toContain('work order');
        if (o.handedOver && !['write', 'copy', 'reopen', 'renew link', 'withdraw link'].includes(act))
          expect(refusal).toBeDefined();
        if (o.cancelled && !['copy', 'reopen', 'withdraw link'].includes(act)) expect(refusal).toBeDefined();
        if (!refusal && act === 'deliver') expect([o.accepted, o.work?.done, o.delivered]).toEqual([true, true, false]);
      }),
    );
  });
  it('someone may do each act, and each thing undone has its words', () => {
    for (const act of acts) expect(ORDER_ACTS[act].roles.every((r) => ROLES.includes(r))).toBe(true);
    for (const act of acts) expect(ORDER_ACTS[act].roles.length).toBeGreaterThan(0);
    for (const u of ['acceptance', 'days', 'work order', 'delivery day'] satisfies Undone[])
      expect(UNDONE_WORDS[u]).toMatch(/^[A-Z].*\.$/);
  });
});
