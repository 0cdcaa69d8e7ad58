import { createElement } from 'react';
import { STATION_NAMES, STATIONS } from '@rubbet/core/order';
import type { Order } from '../data/types.ts';
import { MiniTape } from '../parts/MiniTape.tsx';
import { OrderTape } from '../parts/OrderTape.tsx';
import { elements, html } from '../testing/rendered.ts';
import { barOf, isDriverOnly, PLACES } from './places.ts';

describe('places on a telephone', () => {
  it.each([
    [['driver'], true, 'Roads'],
    [['driver', 'shop'], false, 'Today'],
    [['office'], false, 'Today'],
    [[], false, 'Today'],
  ] as const)('for %j', (roles, driver, first) => {
    expect(isDriverOnly(roles)).toBe(driver);
    const bar = barOf(roles);
    expect(bar[0]?.[1]).toBe(first);
    expect(bar).toHaveLength(4);
    for (const place of bar) expect(PLACES).toContain(place);
  });
});

/** An order that has come so far; what a station is reached by is there, the rest is not. */
const at = (more: Partial<Order>): Order =>
  ({
    id: 7,
    flock: null,
    revision: null,
    survey: null,
    accepted: null,
    scheduledAt: null,
    workOrder: null,
    delivery: null,
    deliveredAt: null,
    handedOverAt: null,
    held: null,
    cancelled: null,
    ...more,
  }) as unknown as Order;
const some = {} as never;

describe('the tape of an order', () => {
  const marks = (order: Order) => elements(html(createElement(OrderTape, { order }), 'inches', '/orders/7/build'), 'a');
  it('has a mark for every station, in order, each a way to it', () => {
    const found = marks(at({}));
    expect(found.map((m) => m.words)).toEqual(STATIONS.map((s) => STATION_NAMES[s]));
    expect(found.map((m) => /href="([^"]*)"/.exec(m.open)?.[1])).toEqual(STATIONS.map((s) => `/orders/7/${s}`));
  });
  it.each([
    ['flock', {}],
    ['build', { flock: some }],
    ['ground', { flock: some, revision: some }],
    ['price', { flock: some, revision: some, survey: some }],
    ['days', { flock: some, revision: some, survey: some, accepted: some }],
  ] as const)('says of every station whether it is done, here or to come: at %s', (station, more) => {
    const here = STATIONS.indexOf(station);
    const says = marks(at(more)).map((m) => /title="([^"]*)"/.exec(m.open)?.[1]);
    expect(says).toEqual(STATIONS.map((_, i) => (i < here ? 'done' : i === here ? 'it stands here' : 'to come')));
  });
  it('is full when the unit was handed over', () => {
    const says = marks(
      at({
        flock: some,
        revision: some,
        survey: some,
        accepted: some,
        scheduledAt: '2026-05-04',
        workOrder: { touched: true, doneAt: '2026-05-05' } as never,
        delivery: some,
        deliveredAt: '2026-05-06',
        handedOverAt: '2026-05-06',
      }),
    ).map((m) => /title="([^"]*)"/.exec(m.open)?.[1]);
    expect(new Set(says)).toEqual(new Set(['done']));
  });
  it.each(STATIONS)('in little says that it stands at %s', (station) => {
    expect(html(createElement(MiniTape, { station }))).toContain(STATION_NAMES[station]);
  });
});
