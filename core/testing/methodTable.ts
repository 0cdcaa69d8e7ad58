import { FAMILIES, parseSpec } from '../src/model/index.ts';
import type { Spec } from '../src/model/index.ts';
import { computeOrder } from '../src/order/index.ts';

/** Units of the table: each family's default, and large ones whose way is a question. */
const UNITS: readonly (readonly [name: string, spec: Spec])[] = [
  ...FAMILIES.map((f) => [f.title, parseSpec({ family: f.key, params: {} })] as const),
  ['Walk-in 10 × 20 ft', parseSpec({ family: 'walk-in', params: { length: 240, depth: 120 } })],
  [
    'House with run over 48 in of fall',
    parseSpec({ family: 'house-with-run', params: { fall: 48, runBays: 3, runLength: 384 } }),
  ],
];
/** Way of the table, miles. */
export const TABLE_MILES = 30;

const hours = (minutes: number): string => (minutes / 60).toFixed(1);

/** Hours, days, trips and price of every family by every method, as rows of Markdown: one that cannot be says why not. */
export const methodTable = (): string[] =>
  UNITS.flatMap(([name, spec]) => {
    const { methods } = computeOrder({ spec, miles: TABLE_MILES });
    return methods.proposals.map((p) => {
      const mark = p.method === methods.method ? `**${p.method}**` : p.method;
      if (!p.possible) return `| ${name} | ${mark} | | | | | | ${p.reasons[0] ?? ''} |`;
      const own = p.customer > 0 ? `customer ${hours(p.customer)} h` : '';
      return `| ${name} | ${mark} | ${hours(p.shop)} | ${hours(p.site)} | ${p.siteDays} | ${p.trips} | ${Math.round(p.price.net / 100)} | ${own} |`;
    });
  });
