import type { Driver } from '../stock/index.ts';
import type { Contact, JointDraft, JointKind } from '../unit/index.ts';
import { chooseFastener, driven } from './drive.ts';

/** A joint of the two parts of a contact, at its middle; `more` says what is otherwise. */
export const draft = (c: Contact, kind: JointKind, more: Partial<JointDraft> = {}): JointDraft => ({
  kind,
  parts: [c.a.id, c.b.id],
  at: c.centre,
  fasteners: [],
  hardware: [],
  ...more,
});

/** Where a fastener goes: through one part of a contact into the other. */
export interface Drive {
  readonly driver: Driver;
  /** The part that it passes; `a` where left out. */
  readonly first?: 'a' | 'b';
  /** What it passes and what holds it, where that is not what the contact says. */
  readonly through?: number;
  readonly into?: number;
  readonly count: number;
  /** Held in the end of the other part: it carries there and draws nothing. */
  readonly endGrain?: true;
  readonly least?: number;
}

/** A joint that is driven square through one part into the other; undefined where nothing stays in the wood and holds. */
export const drivenThrough = (
  c: Contact,
  kind: JointKind,
  drive: Drive,
  more: Partial<JointDraft> = {},
): JointDraft | undefined => {
  const [outer, inner, pass, hold] = drive.first === 'b' ? [c.b, c.a, c.deepB, c.deepA] : [c.a, c.b, c.deepA, c.deepB];
  const through = drive.through ?? pass;
  const f = chooseFastener(drive.driver, through, drive.into ?? (drive.endGrain ? inner.length : hold), drive.least);
  return (
    f &&
    draft(c, kind, {
      parts: [outer.id, inner.id],
      fasteners: driven(f, drive.count),
      bite: { through, into: f.length - through, ...(drive.endGrain ? { endGrain: true } : {}) },
      ...more,
    })
  );
};

/** The thinner of the two parts of a contact, through which the other is fastened. */
export const thinnerOf = (c: Contact): 'a' | 'b' => (c.deepA <= c.deepB ? 'a' : 'b');
