import { barOf, isDriverOnly } from '../app/places.ts';
import { keysTouched } from './touched.ts';

describe('what a change touches', () => {
  it.each([
    ['order', '1040', '/orders/1040'],
    ['operation', '1040/frame', '/orders/1040'],
    ['operation', '1040/frame', '/board'],
    ['step', '1036/77', '/board'],
    ['part', '1036/9', '/orders/1036/work-order'],
    ['settings', 'rules', '/settings'],
    ['trailer', 'tilt', '/road'],
  ])('%s %s: %s', (entity, id, key) => expect(keysTouched(entity, id)).toContain(key));
  it('is nothing for what no page shows', () => expect(keysTouched('session', 'office')).toEqual([]));
});

describe('the bar of a telephone', () => {
  it('has a driver’s loads first', () => {
    expect(barOf(['driver']).map(([, name]) => name)).toEqual(['Roads', 'Orders', 'Today', 'Crews']);
    expect(barOf(['office', 'driver'])[0]).toEqual(['/', 'Today']);
    expect([isDriverOnly(['driver']), isDriverOnly(['shop', 'driver']), isDriverOnly([])]).toEqual([
      true,
      false,
      false,
    ]);
  });
});
