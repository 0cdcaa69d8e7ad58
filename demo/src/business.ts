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

/** Who works and does not sign in, with what they can do. */
export const BUILDERS: readonly { readonly name: string; readonly skills: readonly Station[] }[] = [
  { name: 'Ines Holloway', skills: ['bay', 'paint', 'site'] },
  { name: 'Corwin Dace', skills: ['bay', 'paint', 'site'] },
  { name: 'Petra Lunn', skills: ['bay', 'paint', 'saw'] },
  { name: 'Abel Stroud', skills: ['bay', 'site'] },
  { name: 'Jory Penn', skills: ['yard', 'road', 'site'] },
];

/** What those who sign in can do, by their role. */
export const SKILLS_OF: Readonly<Record<'office' | 'shop' | 'driver', readonly Station[]>> = {
  office: [],
  shop: ['saw', 'bay'],
  driver: ['yard', 'road', 'site'],
};

/** Where the made-up county lies, about: degrees north and east of a time zone's middle. */
export const NORTH = 41;

const bay = (n: number, length: number, width: number, height: number) => ({
  id: `bay-${n}`,
  kind: 'bay' as const,
  name: `Bay ${n}`,
  stations: ['bay', 'paint'] as Station[],
  people: 2,
  length,
  width,
  height,
  members: [] as readonly string[],
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

/** The saw, two crews that build, four bays with their clear sizes in inches, and the crew that goes out. */
export const CREWS = [
  crew('saw', 'Saw', ['saw'], 1, ['Tobin Askew']),
  bay(1, 480, 240, 156),
  bay(2, 480, 240, 156),
  bay(3, 336, 216, 144),
  bay(4, 336, 216, 144),
  crew('hazel', 'Hazel crew', ['bay', 'paint'], 2, ['Ines Holloway', 'Corwin Dace']),
  crew('alder', 'Alder crew', ['bay', 'paint'], 2, ['Petra Lunn', 'Abel Stroud']),
  crew('road', 'Road crew', ['yard', 'road', 'site'], 2, ['Ruta Malin', 'Jory Penn']),
] as const;

/** Days that somebody is away, counted from today: one is put off over a weekend, several begin on a Monday. */
export const AWAY: readonly {
  readonly name: string;
  readonly from: number;
  readonly days: number;
  readonly part?: 'morning' | 'afternoon';
  readonly note: string;
}[] = [
  { name: 'Petra Lunn', from: 7, days: 5, note: 'holiday' },
  { name: 'Jory Penn', from: 4, days: 1, part: 'afternoon', note: 'dentist' },
];

/** What is out, counted from today as days away are, and who helps another crew meanwhile: on the days that somebody of theirs is away. */
export const OUT = [
  { kind: 'trailer', ref: 'flatbed', from: 8, to: 720, note: 'inspection' },
  { kind: 'row', ref: 'saw', from: 15, to: 720, note: 'new blade and fence' },
] as const;
export const HELPS = { name: 'Abel Stroud', crew: 'hazel', while: 'Petra Lunn' } as const;

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
