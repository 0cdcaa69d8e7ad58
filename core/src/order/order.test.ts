import { stationOf, STATIONS, STATION_NAMES } from './stations.ts';

const none = {
  flock: false,
  spec: false,
  survey: false,
  accepted: false,
  benchDone: false,
  scheduled: false,
  delivered: false,
  handedOver: false,
};
it('an order stands at the first station that is not done', () => {
  expect(stationOf(none)).toBe('flock');
  expect(stationOf({ ...none, flock: true, spec: true })).toBe('ground');
  expect(
    stationOf({
      flock: true,
      spec: true,
      survey: true,
      accepted: true,
      benchDone: true,
      scheduled: true,
      delivered: true,
      handedOver: true,
    }),
  ).toBeUndefined();
  expect(STATIONS.map((s) => STATION_NAMES[s])).toHaveLength(8);
});
