import binPacker from 'bin-packer';
import guillotine from 'guillotine-packer';
import { planSheetDemand, planSticks } from '@rubbet/core/cut';
import type { SheetPiece, StickDemand } from '@rubbet/core/cut';
import { demandOf, KINDS } from './cutting/demands.ts';
import { SHEET_KINDS, SHEETS } from './cutting/sheetDemands.ts';

// npm run bench:beside [-- SEEDS]: the same demands planned by general packing libraries of the registry, side by side.
const seeds = Number(process.argv[2] ?? 20);

/** Sticks by best fit of a library that knows one size of bin: of the lengths that hold every piece, the cheapest. */
const sticksByLibrary = (d: StickDemand): number => {
  const sizes = d.pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length + d.kerf));
  const costs = d.stock
    .filter((s) => s.quantity === null)
    .flatMap((s) => {
      const { bins, oversized } = binPacker.bestFitDecreasing([...sizes], (n: number) => n, s.length + d.kerf + 1e-9);
      return oversized.length > 0 ? [] : [bins.length * s.cost];
    });
  return Math.min(...costs);
};

/** To a ten-thousandth: the library knows no tolerance. */
const down = (inches: number): number => Math.floor(inches * 1e4 + 1e-3) / 1e4;

/** Sheets by a library of cuts from edge to edge: the best of its ways; pieces of one item turn all or none. */
const sheetsByLibrary = (pieces: readonly SheetPiece[]): number => {
  let cost = 0;
  for (const kind of SHEETS) {
    const mine = pieces.filter((p) => p.item === kind.item);
    if (mine.length === 0) continue;
    const turn = mine.every((p) => !p.grain);
    const plan = guillotine.packer(
      {
        binWidth: kind.length,
        binHeight: kind.width,
        items: mine.map((p) => ({ width: down(p.length), height: down(p.width) })),
      },
      { kerfSize: 0.125, allowRotation: turn },
    );
    cost += (plan?.length ?? Infinity) * kind.cost;
  }
  return cost;
};

const say = (what: string, kind: string, ours: number, theirs: number, library: string, worse: number): void =>
  console.log(
    JSON.stringify({
      what,
      kind,
      demands: seeds,
      [library]: `${Math.round((1000 * (theirs - ours)) / ours) / 10} % dearer`,
      cheaperThere: worse,
    }),
  );

for (const kind of KINDS) {
  let [ours, theirs, worse] = [0, 0, 0];
  for (let seed = 1; seed <= seeds; seed++) {
    const demand = demandOf(kind, seed);
    // A demand that lives on offcuts is nothing for a library of endless bins: both get the yard alone.
    const yard = { ...demand, stock: demand.stock.filter((s) => s.quantity === null) };
    const other = sticksByLibrary(yard);
    const mine = planSticks(yard).cost;
    if (!Number.isFinite(other)) continue;
    ours += mine;
    theirs += other;
    if (other < mine) worse++;
  }
  say('sticks', kind, ours, theirs, 'bin-packer', worse);
}
for (const [kind, make] of Object.entries(SHEET_KINDS)) {
  let [ours, theirs, worse] = [0, 0, 0];
  for (let seed = 0; seed < seeds; seed++) {
    const pieces = make(seed);
    const other = sheetsByLibrary(pieces);
    const mine = planSheetDemand({ kerf: 0.125, saw: 'track', stock: SHEETS, pieces }).cost;
    if (!Number.isFinite(other)) continue;
    ours += mine;
    theirs += other;
    if (other < mine) worse++;
  }
  say('sheets', kind, ours, theirs, 'guillotine-packer', worse);
}
