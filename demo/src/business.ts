import type { Station } from '@rubbet/core/steps';

/** The made-up business: a shop of four bays, two build crews, one delivery crew, two trailers. Everybody in it is invented. */
export const DEMO_PASSWORD = 'hedgerow';

export const USERS = [
  { name: 'Odile Farrant', login: 'office', role: 'office' },
  { name: 'Tobin Askew', login: 'shop', role: 'shop' },
  { name: 'Ruta Malin', login: 'driver', role: 'driver' },
] as const;

/** The business itself; its telephone numbers are of those kept free for stories. */
export const BUSINESS_OF_DEMO = {
  name: 'Withy Bend Coops',
  address: '3 Ferry Lane, Withy Bend',
  phone: '555 0100',
  email: 'yard@withybend.example',
} as const;

/** Who builds and does not sign in. */
export const BUILDERS = ['Ines Holloway', 'Corwin Dace', 'Petra Lunn', 'Abel Stroud', 'Jory Penn'] as const;

const bay = (n: number, length: number, width: number, height: number, members: readonly string[]) => ({
  id: `bay-${n}`,
  kind: 'bay' as const,
  name: `Bay ${n}`,
  stations: ['bay', 'paint'] as Station[],
  people: 2,
  length,
  width,
  height,
  members,
});
const crew = (id: string, name: string, stations: readonly Station[], people: number, members: readonly string[]) => ({
  id,
  kind: 'crew' as const,
  name,
  stations,
  people,
  length: null,
  width: null,
  height: null,
  members,
});

/** Rows of the board: a saw, four bays with their clear sizes in inches, two crews that go out. */
export const CREWS = [
  crew('saw', 'Saw', ['saw'], 1, ['Tobin Askew']),
  bay(1, 480, 240, 156, ['Ines Holloway', 'Corwin Dace']),
  bay(2, 480, 240, 156, ['Petra Lunn', 'Abel Stroud']),
  bay(3, 336, 216, 144, []),
  bay(4, 336, 216, 144, []),
  crew('yard', 'Yard crew', ['yard', 'site'], 2, ['Jory Penn']),
  crew('road', 'Road crew', ['road'], 2, ['Ruta Malin']),
] as const;

/** What pulls the trailers: pounds that they tow, and that their hitches bear. */
export const VEHICLES = [
  { id: 'old-truck', name: 'old truck', tows: 7200, tongue: 900 },
  { id: 'long-truck', name: 'long truck', tows: 12000, tongue: 1500 },
] as const;

export const TRAILERS = [
  {
    id: 'tilt',
    name: 'tilt trailer',
    bedLength: 192,
    bedWidth: 82,
    bedHeight: 24,
    carries: 5200,
    weight: 1900,
    tilt: true,
  },
  {
    id: 'flatbed',
    name: 'flatbed',
    bedLength: 240,
    bedWidth: 98,
    bedHeight: 34,
    carries: 8800,
    weight: 2900,
    tilt: false,
  },
] as const;

/** Weather words for the days ahead, as a forecast feed would give them, from a seed. */
export const weatherFor = (day: string): string => {
  let h = 2166136261;
  for (const c of day) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  const n = (h >>> 0) % 100;
  return n < 52 ? 'dry' : n < 68 ? 'cloud' : n < 82 ? `wind ${18 + (n % 14)}` : `rain ${50 + (n % 5) * 10} %`;
};
