import type { Pt } from '../geometry/index.ts';
import type { Part, PartDraft, Role } from './types.ts';

const LETTER: Record<Role, string> = {
  plate: 'P',
  stud: 'S',
  king: 'K',
  jack: 'J',
  header: 'H',
  spacer: 'HS',
  sill: 'SL',
  cripple: 'C',
  rim: 'RM',
  joist: 'JT',
  leg: 'L',
  rafter: 'R',
  outrigger: 'O',
  blocking: 'B',
  rail: 'RL',
  upright: 'U',
  crossbar: 'X',
  board: 'BD',
  batten: 'BT',
  deck: 'DK',
  floor: 'F',
  siding: 'SD',
  mesh: 'M',
  roofing: 'RF',
  trim: 'T',
  door: 'D',
  stop: 'ST',
  lid: 'LD',
  nest: 'N',
  roost: 'RO',
  cleat: 'CL',
  ramp: 'RP',
  'pop door': 'PD',
  channel: 'CH',
  wheel: 'W',
  post: 'PO',
  ridge: 'RG',
  'gable stud': 'GS',
  gusset: 'GU',
  collar: 'CO',
  runner: 'RN',
  brace: 'BR',
  hoop: 'HP',
  handle: 'HA',
  block: 'BK',
  cover: 'CV',
  liner: 'LN',
  glazing: 'GZ',
  pipe: 'PI',
};

const round = (n: number): number => Math.round(n * 64) / 64 + 0;
const ring = (points: readonly Pt[], turn: (p: Pt) => Pt): string =>
  points
    .map(turn)
    .map(([p, q]) => `${round(p)},${round(q)}`)
    .sort()
    .join(' ');

/** The same for two parts exactly when one can be used in the other's place. */
const sameKey = (part: PartDraft): string => {
  const [, , p1, q1] = part.shape.outline.reduce<[number, number, number, number]>(
    ([a, b, c, d], [p, q]) => [Math.min(a, p), Math.min(b, q), Math.max(c, p), Math.max(d, q)],
    [Infinity, Infinity, -Infinity, -Infinity],
  );
  // A plain rectangle looks the same however it is turned.
  const plain =
    part.shape.holes.length === 0 &&
    part.shape.outline.length === 4 &&
    part.shape.outline.every(
      ([p, q]) => (Math.abs(p) < 1e-6 || Math.abs(p - p1) < 1e-6) && (Math.abs(q) < 1e-6 || Math.abs(q - q1) < 1e-6),
    );
  if (plain)
    return [part.role, part.item, part.fit, round(part.shape.depth), part.rip ?? '', round(p1), round(q1)].join('#');
  const turns: ((p: Pt) => Pt)[] = [(p) => p, ([p, q]) => [p1 - p, q1 - q]];
  // A stick may be turned over; a faced or grooved sheet may not.
  if (!['siding', 'deck', 'floor', 'nest', 'lid', 'door'].includes(part.role))
    turns.push(
      ([p, q]) => [p1 - p, q],
      ([p, q]) => [p, q1 - q],
    );
  const shapes = turns.map((t) => [part.shape.outline, ...part.shape.holes].map((r) => ring(r, t)).join('|'));
  return [part.role, part.item, part.fit, round(part.shape.depth), part.rip ?? '', shapes.sort()[0]].join('#');
};

/** Gives every part a mark: a letter for its role and a number; equal parts share one, in order of first appearance. */
export const assignMarks = (drafts: readonly PartDraft[]): Part[] => {
  const marks = new Map<string, string>();
  const counts = new Map<Role, number>();
  return drafts.map((draft) => {
    const key = sameKey(draft);
    let mark = marks.get(key);
    if (mark === undefined) {
      const n = (counts.get(draft.role) ?? 0) + 1;
      counts.set(draft.role, n);
      mark = `${LETTER[draft.role]}${n}`;
      marks.set(key, mark);
    }
    return { ...draft, mark };
  });
};
