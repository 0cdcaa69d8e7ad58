import type { Contact, Joint, JointDraft, PartDraft } from '../unit/index.ts';
import { lookAt, turnRound } from './scene.ts';
import type { Joinery, JoineryRule, Scene } from './scene.ts';
import { frameRule, headerRule } from './rules/frame.ts';
import { boxRule, fixedRule, groundRule, lookoutRule } from './rules/inside.ts';
import { leafRule, stopRule } from './rules/leaves.ts';
import { coverRule, roofingRule, stitchRule } from './rules/roofing.ts';
import { meshRule, overRule, sheetRule, stripRule } from './rules/skins.ts';

/** Rules of joinery in the order in which they are asked; the first that has something to say of a contact decides it. */
const RULES: readonly JoineryRule[] = [
  groundRule,
  lookoutRule,
  leafRule,
  stopRule,
  headerRule,
  frameRule,
  overRule,
  stripRule,
  stitchRule,
  roofingRule,
  meshRule,
  coverRule,
  boxRule,
  fixedRule,
  sheetRule,
];

const pairOf = (a: string, b: string): string => (a < b ? `${a}|${b}` : `${b}|${a}`);

/** Kinds of which two parts have one, at their largest contact, however many sides they meet with. */
const ONCE: ReadonlySet<Joint['kind']> = new Set([
  'end-nailed',
  'toe-nailed',
  'end-screwed',
  'toe-screwed',
  'pocket',
  'notch',
  'tie',
  'strap',
  'hung',
  'rests',
  'hook',
  'bolt',
]);

const decide = (meet: Contact, scene: Scene): readonly JointDraft[] => {
  const ways = [meet, turnRound(meet)];
  for (const rule of RULES)
    for (const seen of ways) {
      const said = rule(seen, scene);
      if (said === 'none') return [];
      if (said) return 'kind' in said ? [said] : said;
    }
  return [];
};

/**
 * The joints of a unit: those that were asked for, and for every other place where two parts meet the usual joinery.
 * @param asked joints that whoever framed the parts wants; the parts of one that is made `instead` get no other
 */
export const makeJoints = (
  parts: readonly PartDraft[],
  asked: readonly JointDraft[],
  joinery: Joinery = {},
): Joint[] => {
  const scene = lookAt(parts, joinery);
  const settled = new Set<string>();
  for (const j of asked) {
    if (!j.instead) continue;
    j.parts.forEach((p, i) => j.parts.slice(i + 1).forEach((q) => settled.add(pairOf(p, q))));
  }
  const once = new Map<string, number>();
  const out: { readonly joint: JointDraft; readonly area: number }[] = [];
  for (const meet of scene.contacts) {
    const key = pairOf(meet.a.id, meet.b.id);
    if (settled.has(key)) continue;
    for (const joint of decide(meet, scene)) {
      if (!ONCE.has(joint.kind)) {
        out.push({ joint, area: meet.area });
        continue;
      }
      const before = once.get(key);
      if (before === undefined) {
        once.set(key, out.length);
        out.push({ joint, area: meet.area });
      } else if ((out[before] as { area: number }).area < meet.area) out[before] = { joint, area: meet.area };
    }
  }
  return [...asked, ...out.map((o) => o.joint)].map(({ instead: _, ...j }, i) => ({ id: `j${i + 1}`, ...j }));
};
