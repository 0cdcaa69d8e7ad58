/** Who the demo buys from: all invented, their numbers of those kept free for stories. */
export const SUPPLIERS = [
  {
    id: 'millrace-timber',
    name: 'Millrace Timber',
    phone: '555 0131',
    email: 'orders@millrace.example',
    leadDays: 3,
    note: 'Delivers Tuesdays and Fridays before ten.',
  },
  {
    id: 'oxbow-hardware',
    name: 'Oxbow Hardware',
    phone: '555 0144',
    email: 'desk@oxbow.example',
    leadDays: 2,
    note: 'Screws by the box; opened boxes are not taken back.',
  },
  {
    id: 'sallow-steel',
    name: 'Sallow Steel and Wire',
    phone: '555 0158',
    email: '',
    leadDays: 8,
    note: 'Rolls and roofing; telephone, no mail.',
  },
] as const;

/** Who each kind of item is bought from. */
export const SUPPLIER_OF: Readonly<Record<string, string>> = {
  lumber: 'millrace-timber',
  sheet: 'millrace-timber',
  piece: 'millrace-timber',
  hardware: 'oxbow-hardware',
  mesh: 'sallow-steel',
  roofing: 'sallow-steel',
};

/** The least that is kept of what is used every day. */
export const LEAST: Readonly<Record<string, number>> = {
  '2x4': 40,
  '2x3': 24,
  '1x4': 12,
  'ply-1/2': 6,
  'screw-2-1/2': 1000,
  'screw-3': 500,
};

/** Weeks of buying and cutting behind the demo, and what prices were then, as shares of today's. */
export const WEEKS_BEHIND = 13;
export const PRICES_BEHIND: readonly { readonly weeks: number; readonly share: number }[] = [
  { weeks: 13, share: 0.94 },
  { weeks: 8, share: 0.97 },
  { weeks: 3, share: 1 },
];

/** Purchase orders that are open at the start: days since they were sent, what they are for, what has come of it. */
export const PURCHASES = [
  {
    supplier: 'millrace-timber',
    sent: 4,
    due: -1,
    lines: [
      { item: '2x4', length: 96, quantity: 60, received: 60 },
      { item: '2x4', length: 144, quantity: 24, received: 10 },
      { item: '2x6-pt', length: 96, quantity: 12, received: 12 },
    ],
  },
  {
    supplier: 'sallow-steel',
    sent: 2,
    due: 6,
    lines: [
      { item: 'hardware-cloth', length: 1200, width: 48, quantity: 2, received: 0 },
      { item: 'metal', length: 96, quantity: 30, received: 0 },
    ],
  },
] as const;

/** Rack at the start: whole lengths and marked offcuts. */
export const RACK: readonly {
  readonly item: string;
  readonly length: number | null;
  readonly width?: number;
  readonly quantity: number;
  readonly place: string;
  readonly mark: string;
}[] = [
  { item: '2x4', length: 96, quantity: 86, place: 'A1', mark: '' },
  { item: '2x4', length: 120, quantity: 24, place: 'A1', mark: '' },
  { item: '2x4', length: 144, quantity: 31, place: 'A2', mark: '' },
  { item: '2x4', length: 192, quantity: 12, place: 'A2', mark: '' },
  { item: '2x3', length: 96, quantity: 58, place: 'A3', mark: '' },
  { item: '2x3-pt', length: 96, quantity: 26, place: 'A3', mark: '' },
  { item: '2x2', length: 96, quantity: 40, place: 'A4', mark: '' },
  { item: '2x6-pt', length: 96, quantity: 14, place: 'B1', mark: '' },
  { item: '2x6-pt', length: 144, quantity: 9, place: 'B1', mark: '' },
  { item: '4x4-pt', length: 96, quantity: 11, place: 'B2', mark: '' },
  { item: '1x4', length: 96, quantity: 33, place: 'B3', mark: '' },
  { item: '1x3', length: 96, quantity: 20, place: 'B3', mark: '' },
  { item: '1x2', length: 96, quantity: 44, place: 'B3', mark: '' },
  { item: 'picket', length: 72, quantity: 120, place: 'B4', mark: '' },
  { item: '2x4', length: 41.5, quantity: 1, place: 'C1', mark: 'R-104' },
  { item: '2x4', length: 37.25, quantity: 1, place: 'C1', mark: 'R-109' },
  { item: '2x6-pt', length: 52, quantity: 1, place: 'C1', mark: 'R-111' },
  { item: '4x4-pt', length: 30.75, quantity: 2, place: 'C2', mark: 'R-112' },
  { item: 'siding-5/8', length: null, quantity: 17, place: 'D1', mark: '' },
  { item: 'ply-1/2', length: null, quantity: 22, place: 'D1', mark: '' },
  { item: 'ply-3/4', length: null, quantity: 9, place: 'D2', mark: '' },
  { item: 'hardware-cloth', length: 600, width: 36, quantity: 3, place: 'E1', mark: '' },
  { item: 'hardware-cloth', length: 600, width: 48, quantity: 2, place: 'E1', mark: '' },
  { item: 'metal', length: 96, quantity: 24, place: 'E2', mark: '' },
  { item: 'screw-2-1/2', length: null, quantity: 1450, place: 'F1', mark: '' },
  { item: 'screw-3', length: null, quantity: 820, place: 'F1', mark: '' },
  { item: 'screw-2', length: null, quantity: 600, place: 'F1', mark: '' },
  { item: 'screw-1-1/4', length: null, quantity: 900, place: 'F1', mark: '' },
  { item: 'staple', length: null, quantity: 4000, place: 'F2', mark: '' },
  { item: 'hinge', length: null, quantity: 26, place: 'F3', mark: '' },
  { item: 'latch', length: null, quantity: 18, place: 'F3', mark: '' },
];
