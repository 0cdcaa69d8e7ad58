import type { Operation } from '@rubbet/core/crews';
import { agreedRounds, holdsBoth, hopsOf, withTrip } from './readTrips.ts';
import type { OrderTrip } from './readTrips.ts';
import { BUSINESS_RULES } from '@rubbet/core/order';

const trip = (id: number, more: Partial<OrderTrip> = {}): OrderTrip => ({
  id,
  loads: { tilt: 0.4 },
  window: null,
  miles: 12,
  bearing: 203,
  ...more,
});
const bring = (id: number, minutes = 60): Operation => ({
  id: `${id}/deliver`,
  order: String(id),
  place: 'site',
  minutes,
  people: [2, 2],
  skill: 'driving',
  travel: [45, 45],
  dry: 0,
  needs: [],
  splits: false,
  trailer: true,
});
const pin = (id: number, start: number) => ({ operation: `${id}/deliver`, start, trailer: 'tilt' });
const agreed = (second: string, minutes = 60, trips: readonly OrderTrip[] = [trip(7), trip(8)]) =>
  agreedRounds(
    {
      today: '2026-03-02',
      trips: new Map(trips.map((t) => [t.id, t])),
      hops: [{ between: ['7', '8'], minutes: 20 }],
      deliveries: new Map([
        [7, { day: '2026-03-03', arrives: '09:30', trailer: 'tilt' }],
        [8, { day: '2026-03-03', arrives: second, trailer: 'tilt' }],
      ]),
    },
    [bring(7, minutes), bring(8, minutes)],
    [pin(7, 1440 + 525), pin(8, 1440 + 600)],
  );

describe('deliveries that are agreed on', () => {
  it('are one round where it comes by at about the hour that was agreed on', () => {
    // There from 9:30 to 10:30; twenty minutes on it is 10:50.
    for (const at of ['10:15', '10:45', '11:30'])
      expect(agreed(at)).toEqual([pin(7, 1440 + 525), { ...pin(8, 1440 + 630), after: '7/deliver' }]);
    for (const at of ['09:45', '12:00']) expect(agreed(at)).toEqual([pin(7, 1440 + 525), pin(8, 1440 + 600)]);
  });
  it('of two at one hour the one that was ordered first is brought first', () => {
    expect(agreed('09:30', 15).map((p) => p.after)).toEqual([undefined, '7/deliver']);
  });
  it('are two trips where one trailer does not hold both', () => {
    expect(agreed('10:45', 60, [trip(7, { loads: { tilt: 0.7 } }), trip(8)])[1]?.after).toBeUndefined();
    expect(holdsBoth(trip(7), trip(8), 'tilt')).toBe(true);
    expect(holdsBoth(trip(7), trip(8), 'flatbed')).toBe(false);
  });
});

describe('orders that one round may serve', () => {
  const hops = (...trips: OrderTrip[]) => hopsOf(new Map(trips.map((t) => [t.id, t])), BUSINESS_RULES);
  it('lie one way, and go whole', () => {
    expect(hops(trip(7), trip(8))).toMatchObject([{ between: ['7', '8'] }]);
    expect(hops(trip(7), trip(8, { bearing: 20 }))).toEqual([]);
    expect(hops(trip(7), trip(8, { bearing: null }))).toEqual([]);
    expect(hops(trip(7), trip(8, { loads: {} }))).toEqual([]);
  });
  it('and their loads are known to the plan', () => {
    expect(withTrip(bring(7), trip(7)).loads).toEqual({ tilt: 0.4 });
    expect(withTrip(bring(7), trip(7, { loads: {} })).loads).toBeUndefined();
    expect(withTrip({ ...bring(7), trailer: false }, trip(7)).loads).toBeUndefined();
  });
});
