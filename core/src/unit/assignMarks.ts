import { measurePtBounds } from '../geometry/index.ts';
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
  barge: 'BG',
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
  tie: 'TI',
  runner: 'RN',
  brace: 'BR',
  hoop: 'HP',
  handle: 'HA',
  block: 'BK',
  cover: 'CV',
  liner: 'LN',
  glazing: 'GZ',
  unit: 'U',
  pipe: 'PI',
};

/** In sixty-fourths, as text that is short. */
const round = (n: number): number => Math.round(n * 64) + 0;
const ring = (points: readonly Pt[], turn: (p: Pt) => Pt): string =>
  points
    .map(turn)
    .map(([p, q]) => `${round(p)},${round(q)}`)
    .sort()
    .join(' ');

/** The same for parts that may be equal: all of a part but the corners of its outline. */
const roughKey = (part: PartDraft): string => {
  const { outline, holes, depth } = part.shape;
  const [p0, q0, p1, q1] = measurePtBounds(outline);
  return `${part.role}#${part.item}#${part.fit}#${round(depth)}#${part.rip ?? ''}#${part.sawnOut ? round(part.length) : ''}#${round(p1 - p0)}#${round(q1 - q0)}#${outline.length}#${holes.length}`;
};

/** A plain rectangle looks the same however it is turned. */
const isPlain = ({ outline, holes }: PartDraft['shape']): boolean => {
  if (holes.length > 0 || outline.length !== 4) return false;
  const [, , p1, q1] = measurePtBounds(outline);
  return outline.every(
    ([p, q]) => (Math.abs(p) < 1e-6 || Math.abs(p - p1) < 1e-6) && (Math.abs(q) < 1e-6 || Math.abs(q - q1) < 1e-6),
  );
};

/** The same for two parts that are roughly the same exactly when one can be used in the other's place. */
const outlineKey = (part: PartDraft): string => {
  if (isPlain(part.shape)) return 'plain';
  const [, , p1, q1] = measurePtBounds(part.shape.outline);
  const turns: ((p: Pt) => Pt)[] = [(p) => p, ([p, q]) => [p1 - p, q1 - q]];
  // A stick may be turned over; a faced or grooved sheet may not.
  if (!['siding', 'deck', 'floor', 'nest', 'lid', 'door'].includes(part.role))
    turns.push(
      ([p, q]) => [p1 - p, q],
      ([p, q]) => [p, q1 - q],
    );
  const shapes = turns.map((t) => [part.shape.outline, ...part.shape.holes].map((r) => ring(r, t)).join('|'));
  return shapes.sort()[0] ?? '';
};

/** Outlines by their corners as drawn: most parts that are alike are drawn alike. */
const keyOf = (known: Map<string, string>, part: PartDraft): string => {
  const { outline, holes } = part.shape;
  const drawn = `${part.role}#${[outline, ...holes].map((r) => r.map(([p, q]) => `${round(p)},${round(q)}`).join(' ')).join('|')}`;
  let key = known.get(drawn);
  if (key === undefined) known.set(drawn, (key = outlineKey(part)));
  return key;
};

/** What a part is however it is placed and whatever unit it is in: two of one key can stand for each other. */
export const pieceKey = (part: PartDraft): string => `${roughKey(part)}#${outlineKey(part)}`;

/** Gives every part a mark: a letter for its role and a number; equal parts share one, in order of first appearance. */
export const assignMarks = (drafts: readonly PartDraft[]): Part[] => {
  const marks = new Map<string, string>();
  const counts = new Map<Role, number>();
  const rough = drafts.map(roughKey);
  const outlines = new Map<string, string>();
  const alike = new Map<string, number>();
  for (const key of rough) alike.set(key, (alike.get(key) ?? 0) + 1);
  return drafts.map((draft, i) => {
    const first = rough[i] as string;
    // Corners are compared only where there is something to compare them with.
    const key = alike.get(first) === 1 ? first : `${first}#${keyOf(outlines, draft)}`;
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
