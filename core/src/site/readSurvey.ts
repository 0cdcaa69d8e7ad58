/** One level reading at a pad: how much of the rod stands above the line of sight's foot, inches down from the level. */
export interface PadReading {
  readonly id: string;
  readonly name: string;
  /** Place of the pad in inches from the unit's front left corner. */
  readonly x: number;
  readonly y: number;
  /** Rod reading in inches: the larger, the lower the ground. */
  readonly rod: number;
}

/**
 * A survey of one site. `lift` is how far the highest pad shall stand above its ground, `gate` the narrowest way in where it was
 * measured; inches.
 */
export interface Survey {
  readonly pads: readonly PadReading[];
  readonly lift: number;
  readonly gate?: number;
}

/** Raised when a survey cannot be read; names the pad, the value and the rule. */
export class SurveyError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'SurveyError';
  }
}

/** Readings taller than a rod are a slip of the pen. */
const ROD = 300;
/** More pads than a unit ever stands on. */
const MOST_PADS = 60;
const MOST_LETTERS = 60;

const record = (v: unknown, where: string): Record<string, unknown> => {
  if (typeof v !== 'object' || v === null || Array.isArray(v)) throw new SurveyError(`${where} must be an object.`);
  return v as Record<string, unknown>;
};
const number = (v: unknown, where: string, least: number, most: number): number => {
  if (typeof v !== 'number' || !Number.isFinite(v))
    throw new SurveyError(`${where} is ${JSON.stringify(v) ?? 'missing'}; it must be a number of inches.`);
  if (v < least || v > most) throw new SurveyError(`${where} is ${v} in; it must be from ${least} to ${most}.`);
  return v;
};

/**
 * Reads a survey from parsed JSON: `{"pads": [{"id", "x", "y", "rod"}], "lift", "gate"}`, the last two if known.
 * @throws SurveyError naming the pad, the value and the rule
 */
export const readSurvey = (json: unknown): Survey => {
  const s = record(json, 'A survey');
  const extra = Object.keys(s).find((k) => !['pads', 'lift', 'gate'].includes(k));
  if (extra !== undefined)
    throw new SurveyError(`The survey has "${extra}", which does not belong there; it has pads, lift and gate.`);
  if (!Array.isArray(s.pads) || s.pads.length < 3)
    throw new SurveyError('pads must be a list of at least 3 pads, each with id, x, y and rod.');
  if (s.pads.length > MOST_PADS)
    throw new SurveyError(`pads has ${s.pads.length} pads; a unit stands on at most ${MOST_PADS}.`);
  const ids = new Set<string>();
  const pads = s.pads.map((raw: unknown, i): PadReading => {
    const where = `pads[${i}]`;
    const p = record(raw, where);
    const strange = Object.keys(p).find((k) => !['id', 'name', 'x', 'y', 'rod'].includes(k));
    if (strange !== undefined)
      throw new SurveyError(`${where} has "${strange}", which does not belong there; it has id, name, x, y and rod.`);
    for (const key of ['id', 'name'] as const) {
      const v = p[key];
      if (key === 'name' && v === undefined) continue;
      if (typeof v !== 'string' || v.trim() === '' || v.length > MOST_LETTERS)
        throw new SurveyError(
          `${where}.${key} is ${JSON.stringify(v) ?? 'missing'}; it must be a name of at most ${MOST_LETTERS} letters.`,
        );
    }
    if (typeof p.id !== 'string') throw new SurveyError(`${where}.id is missing.`);
    if (ids.has(p.id)) throw new SurveyError(`pads has "${p.id}" twice; every pad needs its own name.`);
    ids.add(p.id);
    return {
      id: p.id,
      name: typeof p.name === 'string' ? p.name : p.id,
      x: number(p.x, `${where}.x`, -2000, 2000),
      y: number(p.y, `${where}.y`, -2000, 2000),
      rod: number(p.rod, `${where}.rod`, 0, ROD),
    };
  });
  return {
    pads,
    lift: s.lift === undefined ? 0 : number(s.lift, 'lift', 0, 48),
    ...(s.gate === undefined ? {} : { gate: number(s.gate, 'gate', 12, 600) }),
  };
};
