import type { Survey } from './readSurvey.ts';

/** Heights of what pads are stacked from, inches. Defaults common practice, no source. */
export interface PadRules {
  /** One course: the block itself. */
  readonly block: number;
  /** Mortar between courses; none where they are laid dry. */
  readonly joint: number;
  readonly paver: number;
  /** Thickest stack of shims. */
  readonly shim: number;
  /** Depth to which the first course is let into the ground. */
  readonly embed: number;
  /** From this many courses on, cores are filled with concrete and a bar. */
  readonly fillFrom: number;
}

export const PAD_RULES: PadRules = { block: 7.625, joint: 0, paver: 2, shim: 2, embed: 2, fillFrom: 3 };

/** What one pad is stacked of: `height` above its ground, `stack` of masonry counted from the bottom of the embedment. */
export interface Pad {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** How far the ground here lies below the highest pad's. */
  readonly drop: number;
  readonly height: number;
  readonly blocks: number;
  readonly pavers: number;
  readonly shims: number;
  /** Depth dug below grade for the first course. */
  readonly dig: number;
  readonly fill: boolean;
}

/** Pads of a site with its fall. */
export interface PadPlan {
  readonly datum: string;
  readonly pads: readonly Pad[];
  /** Greatest difference of ground, inches. */
  readonly fall: number;
  /** Steepest slope of the fitted plane, inches in 10 ft, and the way it falls in degrees from the x axis. */
  readonly slope: number;
  readonly direction: number;
  readonly blocks: number;
  readonly pavers: number;
  readonly warnings: readonly string[];
}

/** Least-squares plane through the ground: z = c + gx·x + gy·y. */
export const fitPlane = (survey: Survey): { readonly gx: number; readonly gy: number; readonly worst: number } => {
  const n = survey.pads.length;
  const mean = (f: (p: Survey['pads'][number]) => number): number => survey.pads.reduce((s, p) => s + f(p), 0) / n;
  const mx = mean((p) => p.x);
  const my = mean((p) => p.y);
  const mz = mean((p) => -p.rod);
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  for (const p of survey.pads) {
    const [dx, dy, dz] = [p.x - mx, p.y - my, -p.rod - mz];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
    xz += dx * dz;
    yz += dy * dz;
  }
  const det = xx * yy - xy * xy;
  const gx = Math.abs(det) < 1e-9 ? 0 : (xz * yy - yz * xy) / det;
  const gy = Math.abs(det) < 1e-9 ? 0 : (yz * xx - xz * xy) / det;
  const worst = Math.max(...survey.pads.map((p) => Math.abs(-p.rod - mz - gx * (p.x - mx) - gy * (p.y - my))));
  return { gx, gy, worst };
};

/** How many blocks and pavers come nearest below a stack height, leaving the rest to shims. */
export const stackUp = (
  stack: number,
  rules: PadRules,
): { readonly blocks: number; readonly pavers: number; readonly shims: number } => {
  const course = rules.block + rules.joint;
  const blocks = Math.floor((stack + 1e-9) / course);
  const rest = stack - blocks * course;
  const pavers = Math.floor((rest + 1e-9) / rules.paver);
  return { blocks, pavers, shims: Math.round((rest - pavers * rules.paver) * 16) / 16 };
};

/**
 * Pads that bring every corner level: the highest ground (smallest rod reading) is the datum, each other pad is taller by
 * the difference of its reading. A pad with a block has its first course let into the ground.
 */
export const planPads = (survey: Survey, rules: PadRules = PAD_RULES): PadPlan => {
  const highest = survey.pads.reduce((a, b) => (b.rod < a.rod ? b : a));
  const pads = survey.pads.map((p): Pad => {
    const drop = p.rod - highest.rod;
    const height = drop + survey.lift;
    // A bare pad of less than a paver needs no masonry; any block is let in so that frost and birds do not shift it.
    const dig = height >= rules.block - rules.embed ? rules.embed : 0;
    const { blocks, pavers, shims } = stackUp(height + dig, rules);
    return {
      id: p.id,
      name: p.name,
      x: p.x,
      y: p.y,
      drop,
      height,
      blocks,
      pavers,
      shims,
      dig,
      fill: blocks >= rules.fillFrom,
    };
  });
  const { gx, gy, worst } = fitPlane(survey);
  const grade = Math.hypot(gx, gy);
  const warnings: string[] = [];
  const filled = pads.filter((p) => p.fill);
  if (filled.length > 0)
    warnings.push(
      `${filled.map((p) => p.name).join(', ')}: ${rules.fillFrom} courses or more. Fill the cores with concrete and a bar.`,
    );
  if (grade * 120 > 12)
    warnings.push(
      `The ground falls ${Math.round(grade * 120)} in over 10 ft: a large unit looks wrong there, and doors bind unless it stands level.`,
    );
  if (survey.pads.length > 3 && worst > 1.5)
    warnings.push(`One reading is ${Math.round(worst * 10) / 10} in off the plane of the others: read it again.`);
  return {
    datum: highest.id,
    pads,
    fall: Math.max(...pads.map((p) => p.drop)),
    slope: grade * 120,
    direction: (Math.atan2(-gy, -gx) * 180) / Math.PI,
    blocks: pads.reduce((sum, p) => sum + p.blocks, 0),
    pavers: pads.reduce((sum, p) => sum + p.pavers, 0),
    warnings,
  };
};

/** Ramp length for the ground at its foot: the model's rise plus what the ground lies lower there. */
export const measureSiteRamp = (
  rise: number,
  drop: number,
  angle: number,
): { readonly rise: number; readonly length: number } => {
  const total = rise + drop;
  return { rise: total, length: total / Math.sin((angle * Math.PI) / 180) };
};
