import { MM_PER_INCH } from '../measure/index.ts';

/** A tick of a ruler: where it stands in inches, how tall it is of 1, and its figure where it has one. `stud`: the figure that framing tapes print in red, every 16 in. */
export interface RulerTick {
  readonly at: number;
  readonly tall: number;
  readonly figure?: string;
  readonly stud?: boolean;
}

/** Least units of the sheet between two ticks, and between two figures, so that they stay apart. */
const TICKS_APART = 3.6;
const FIGURES_APART = 30;

interface Division {
  /** Steps between ticks, from fine to coarse, in the ruler's own unit. */
  readonly steps: readonly number[];
  /** Steps between figures. */
  readonly figures: readonly number[];
  /** How tall a tick is. */
  readonly tall: (n: number) => number;
  readonly unit: number;
}

const INCHES: Division = {
  steps: [0.5, 1, 4, 12],
  figures: [2, 4, 12, 24],
  tall: (n) => (n % 12 === 0 ? 1 : n % 4 === 0 ? 0.72 : n % 1 === 0 ? 0.5 : 0.28),
  unit: 1,
};
/** A tape in millimetres: a tick every centimetre or half, figures every tenth of a metre. */
const MILLIMETRES: Division = {
  steps: [5, 10, 50, 100],
  figures: [50, 100, 200, 500],
  tall: (n) => (n % 1000 === 0 ? 1 : n % 100 === 0 ? 0.72 : n % 50 === 0 ? 0.5 : 0.28),
  unit: 1 / MM_PER_INCH,
};

/**
 * The ticks of a ruler that is drawn beside what it measures: as fine as there is room for.
 * @param length inches
 * @param scale units of the sheet in an inch
 */
export const layRuler = (length: number, scale: number, metric = false): RulerTick[] => {
  const { steps, figures, tall, unit } = metric ? MILLIMETRES : INCHES;
  const coarse = (list: readonly number[], apart: number): number =>
    list.find((s) => s * unit * scale >= apart) ?? (list.at(-1) as number);
  const step = coarse(steps, TICKS_APART);
  const every = Math.max(step, coarse(figures, FIGURES_APART));
  const count = Math.floor(length / unit / step + 1e-9);
  return Array.from({ length: count + 1 }, (_, i): RulerTick => {
    const n = i * step;
    const figure = n > 0 && n % every === 0;
    return {
      at: n * unit,
      tall: tall(n),
      ...(figure ? { figure: String(n) } : {}),
      ...(figure && !metric && n % 16 === 0 ? { stud: true } : {}),
    };
  });
};
