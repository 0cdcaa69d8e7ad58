import { nestRowWidth, WALL } from '../../frame/index.ts';
import type { Sketch } from '../../frame/index.ts';
import type { HouseParams } from './types.ts';

/** Steepest and flattest slope that one rafter with birdsmouths carries here, rise over run. */
const STEEPEST = 10 / 12;
const FLATTEST = 1 / 12;
const ROOST_CLEAR = 12;
const BAR = 3.5;
/** How far the cleats stand out in front of the first bar, and a liner's thickness. */
const CLEAT = 1.25;

const half = (n: number): number => Math.floor(n * 2) / 2;

/** Keeps the low wall of a lean-to roof within what its rafters can do, noting a change as a stop. */
export const resolveLowWall = (sketch: Sketch, p: { depth: number; highWall: number; lowWall: number }): number => {
  const span = p.depth - WALL;
  let { lowWall } = p;
  const most = half(p.highWall - span * FLATTEST);
  const least = Math.ceil((p.highWall - span * STEEPEST) * 2) / 2;
  if (lowWall > most) {
    lowWall = most;
    sketch.note({
      code: 'roof-too-flat',
      where: ['roof/rafter-1'],
      severity: 'stop',
      what: `With a low wall of ${p.lowWall}″ the roof falls less than 1 in 12.`,
      why: 'Water stands on it and runs back under the laps; it was drawn lower.',
      fix: { label: `Make the low wall ${most}″`, patch: { lowWall: most } },
    });
  }
  if (lowWall < least) {
    lowWall = least;
    sketch.note({
      code: 'roof-too-steep',
      where: ['roof/rafter-1'],
      severity: 'stop',
      what: `With a low wall of ${p.lowWall}″ the roof is steeper than 10 in 12.`,
      why: 'The birdsmouths would cut the rafters through; it was drawn higher.',
      fix: { label: `Make the low wall ${least}″`, patch: { lowWall: least } },
    });
  }
  return lowWall;
};

/** Keeps the roosts within the room under `lowest`, the lower plate, noting changes as stops. */
export const resolveRoosts = <P extends HouseParams>(sketch: Sketch, p: P, lowest: number, wall: number = WALL): P => {
  let { roostBars, roostHeight } = p;
  const inside = p.depth - 2 * wall;
  const fits = Math.max(0, Math.floor((inside - CLEAT) / (ROOST_CLEAR + BAR)));
  if (roostBars > fits) {
    roostBars = fits;
    sketch.note({
      code: 'roosts-do-not-fit',
      where: ['roosts/bar-1'],
      severity: 'stop',
      what: `${p.roostBars} roost bars need more depth than ${inside}″ inside.`,
      why: 'Bars stand 12″ from the wall and from each other; those that fit were drawn.',
      fix: { label: fits === 1 ? 'Make it 1 bar' : `Make it ${fits} bars`, patch: { roostBars: fits } },
    });
  }
  const highest = half(lowest - 10);
  if (roostBars > 0 && roostHeight > highest) {
    roostHeight = highest;
    sketch.note({
      code: 'roost-under-roof',
      where: ['roosts/bar-1'],
      severity: 'stop',
      what: `Roosts at ${p.roostHeight}″ leave no room for a bird under the low side.`,
      why: 'A hen stands 14 to 16″ tall on the bar; they were drawn lower.',
      fix: { label: `Set them at ${highest}″`, patch: { roostHeight: highest } },
    });
  }
  // Stepped down, the lowest bar still stands clear of the floor and of a droppings board under it.
  let { roostStep } = p;
  const least = p.droppingsBoard ? 18 : 10;
  if (roostStep > 0 && roostBars > 1 && roostHeight - (roostBars - 1) * roostStep < least) {
    roostStep = Math.max(0, half((roostHeight - least) / (roostBars - 1)));
    sketch.note({
      code: 'roosts-step-too-low',
      where: ['roosts/bar-1'],
      severity: 'warn',
      what: `Bars that step down by ${p.roostStep}″ bring the lowest one under ${least}″.`,
      why: 'Birds sleep on the highest bar and leave the low ones empty; they were drawn flatter.',
      fix: { label: `Make the step ${roostStep}″`, patch: { roostStep } },
    });
  }
  return { ...p, roostBars, roostHeight, roostStep };
};

/** Longest row of nests whose floor, front and lid come out of one sheet, ends and overlaps included. */
const LONGEST_ROW = 93;

/** Keeps a row of outside nests as long as a sheet gives, noting a change as a stop. */
export const resolveNests = <P extends HouseParams>(sketch: Sketch, p: P): P => {
  if (p.nestWall === 'none' || p.nestStyle === 'inside') return p;
  let { nestCount } = p;
  while (nestCount > 1 && nestRowWidth(nestCount, p.nestWidth) > LONGEST_ROW) nestCount--;
  if (nestCount === p.nestCount) return p;
  sketch.note({
    code: 'nest-row-long',
    where: ['nests/lid'],
    severity: 'stop',
    what: `A row of ${p.nestCount} nests is ${nestRowWidth(p.nestCount, p.nestWidth)}″ long; a sheet gives ${LONGEST_ROW}″ with ends and lid.`,
    why: 'Its floor and its lid are one piece each; those that fit were drawn.',
    fix: { label: `Make it ${nestCount}`, patch: { nestCount } },
  });
  return { ...p, nestCount };
};
