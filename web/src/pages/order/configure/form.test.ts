import { createElement } from 'react';
import { checkBuild } from '@rubbet/core/check';
import { buildSpec, FAMILIES, findFamily, isShown, parseSpec, stylesOf } from '@rubbet/core/model';
import type { Family } from '@rubbet/core/model';
import { BUSINESS_RULES, computeOrder } from '@rubbet/core/order';
import { compareBuilds } from '@rubbet/core/unit';
import type { Fitting, ParamValue } from '@rubbet/core/unit';
import { Difference } from '../../../parts/Difference.tsx';
import { elements, html, plain } from '../../../testing/rendered.ts';
import { FittingBar } from './FittingBar.tsx';
import { LiveStrip } from './LiveStrip.tsx';
import { MarginNotes } from './MarginNotes.tsx';
import { ParamForm } from './ParamForm.tsx';

const familyOf = (key: string): Family => {
  const family = findFamily(key);
  if (!family) throw new Error(`There is no family ${key}.`);
  return family;
};
const specOf = (family: string, params: Record<string, ParamValue> = {}) => parseSpec({ family, params });

describe('the form of a family', () => {
  const form = (
    family: Family,
    more: Partial<Parameters<typeof ParamForm>[0]> = {},
    style: 'inches' | 'mm' = 'inches',
  ) =>
    html(
      createElement(ParamForm, {
        family,
        params: specOf(family.key).params,
        mirrored: false,
        locks: [],
        onLock: () => undefined,
        onChange: () => undefined,
        ...more,
      }),
      style,
    );
  it.each(FAMILIES.map((f) => f.key))('of a %s has a tab for every group and opens the first', (key) => {
    const family = familyOf(key);
    const groups = [...new Set(family.params.map((p) => p.group))];
    const tabs = elements(form(family), 'button').filter((e) => e.open.includes('role="tab"'));
    expect(tabs.map((t) => t.words)).toEqual(groups);
    expect(tabs.map((t) => t.open.includes('aria-selected="true"'))).toEqual(groups.map((_, i) => i === 0));
    const words = plain(form(family));
    const { params } = specOf(key);
    for (const p of family.params.filter((d) => d.group === groups[0] && isShown(d, params)))
      expect(words).toContain(p.label);
    // A size is slid or typed, and may be locked; a choice is not.
    const sizes = family.params.filter((d) => d.group === groups[0] && isShown(d, params) && d.kind === 'length');
    expect(form(family).match(/class="rule-range"/g) ?? []).toHaveLength(
      sizes.length +
        family.params.filter((d) => d.group === groups[0] && isShown(d, params) && d.kind === 'count').length,
    );
  });
  it('hides what says nothing of the unit as it is', () => {
    const family = familyOf('low-pen');
    const hidden = family.params.filter(
      (d) => d.group === family.params[0]?.group && !isShown(d, specOf('low-pen').params),
    );
    const words = elements(form(family), 'span').map((e) => e.words);
    for (const d of hidden) expect(words).not.toContain(d.label);
  });
  it('names sides as they are seen in a mirrored unit', () => {
    const family: Family = {
      ...familyOf('raised-lean-to'),
      params: [
        {
          key: 'doorWall',
          label: 'Door at the left',
          group: 'Sides',
          kind: 'choice',
          default: 'left',
          choices: [
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
          ],
        },
      ],
    };
    const params = { doorWall: 'left' };
    expect(plain(form(family, { params }))).toMatch(/Door at the left Left Right/);
    expect(plain(form(family, { params, mirrored: true }))).toMatch(/Door at the right Right Left/);
  });
  it('keeps what is locked out of reach, and says so', () => {
    const family = familyOf('walk-in');
    const markup = form(family, { locks: ['length'] });
    const slide = /<input[^>]*aria-label="Length, slide"[^>]*>/.exec(markup)?.[0] ?? '';
    expect(slide).toContain('disabled');
    expect(markup).toContain('aria-label="Open the lock of Length"');
    expect(markup).toContain('aria-label="Lock Depth"');
  });
  it('reads sizes as the shop does', () => {
    const family = familyOf('walk-in');
    // 144 in are 3658 mm.
    expect(form(family, {}, 'mm')).toMatch(/value="3658 mm"|value="3658"/);
    expect(form(family)).toMatch(/value="144&quot;"|value="144"/);
  });
});

describe('margin notes', () => {
  const notes = (findings: ReturnType<typeof checkBuild>, pinned?: number): string =>
    html(createElement(MarginNotes, { findings, pinned, onPin: () => undefined, onMend: () => undefined }));
  it.each([
    ['walk-in', { wallHeight: 78, doorHeight: 80 }],
    ['raised-lean-to', { insideRelease: false }],
    ['low-pen', {}],
    ['barn-fit-out', {}],
  ] as const)('of a %s are numbered in order, counted by weight, each with its mend', (family, params) => {
    const spec = specOf(family, params);
    const findings = checkBuild(buildSpec(spec), spec);
    const markup = notes(findings);
    const words = plain(markup);
    findings.forEach((_, i) => expect(words).toContain(`${i + 1} · `));
    for (const [severity, one, many] of [
      ['stop', 'stop', 'stops'],
      ['warn', 'warning', 'warnings'],
      ['tip', 'tip', 'tips'],
    ] as const) {
      const n = findings.filter((f) => f.severity === severity).length;
      if (n > 0) expect(words).toContain(`${n} ${n === 1 ? one : many}`);
      expect(markup.match(new RegExp(`data-severity="${severity}"`, 'g')) ?? []).toHaveLength(n);
    }
    // One button to pin each, one more for each that can be mended.
    expect(elements(markup, 'button')).toHaveLength(findings.length + findings.filter((f) => f.fix).length);
  });
  it('say that there is nothing to mend', () => {
    expect(plain(notes([]))).toContain('nothing to mend');
  });
  it('show which one is pinned to the drawing', () => {
    const spec = specOf('walk-in', { wallHeight: 78, doorHeight: 80 });
    const findings = checkBuild(buildSpec(spec), spec);
    const pressed = elements(notes(findings, 0), 'button').filter((e) => e.open.includes('aria-pressed="true"'));
    expect(pressed.map((e) => e.words.replace(/^\w+\. /, '').slice(0, 3))).toEqual(['1 ·']);
  });
});

describe('what is put on a wall', () => {
  const chosen: Fitting = {
    id: 'f1',
    kind: 'people door',
    wall: 'front',
    left: 20,
    bottom: 1.5,
    width: 30,
    height: 70,
    style: 'single',
  };
  const bar = (key: string, more: Partial<Parameters<typeof FittingBar>[0]> = {}): string =>
    html(
      createElement(FittingBar, {
        carries: familyOf(key).carries,
        chosen: undefined,
        noRoom: undefined,
        onAdd: () => undefined,
        onStyle: () => undefined,
        onCopy: () => undefined,
        onRemove: () => undefined,
        ...more,
      }),
    );
  it.each(['walk-in', 'raised-lean-to', 'raised-gable', 'skid-house'])('of a %s is what its walls carry', (key) => {
    expect(elements(bar(key), 'button').map((e) => e.words)).toEqual([...familyOf(key).carries.kinds]);
  });
  it('is made in the ways that the family frames', () => {
    for (const key of ['walk-in', 'skid-house']) {
      const { carries } = familyOf(key);
      const ways = elements(bar(key, { chosen }), 'option').map((e) => e.words);
      expect(ways).toEqual([...stylesOf(carries, 'people door')]);
      expect(ways.includes('bought')).toBe(carries.bought === true);
    }
  });
  it('is copied or taken out, and what finds no room is said', () => {
    const words = elements(bar('walk-in', { chosen }), 'button').map((e) => e.words);
    expect(words).toEqual(expect.arrayContaining(['Copy', 'Take out']));
    expect(plain(bar('walk-in', { chosen, noRoom: 'window' }))).toContain('This wall has no room for another window');
    expect(plain(bar('walk-in'))).toContain('Take hold of an opening to move it');
  });
});

describe('the strip of figures', () => {
  const strip = (family: string, roles: readonly string[], style: 'inches' | 'mm' = 'inches'): string =>
    plain(
      html(
        createElement(LiveStrip, {
          computed: computeOrder({ spec: specOf(family), miles: 10 }, BUSINESS_RULES, 'quick'),
        }),
        style,
        '/',
        { '/session': { id: 1, name: 'Wren', role: roles[0], roles } },
      ),
    );
  it('shows money to the office alone', () => {
    expect(strip('raised-lean-to', ['office'])).toMatch(/Material \$[\d,]+ .*Price \$[\d,]+/);
    expect(strip('raised-lean-to', ['shop'])).not.toMatch(/\$|Price|Material/);
  });
  it.each(['low-pen', 'walk-in'])('says how a %s is carried, in the words of its weight', (family) => {
    const { summary } = computeOrder({ spec: specOf(family), miles: 10 }, BUSINESS_RULES, 'quick');
    const words = strip(family, ['shop']);
    expect(words).toMatch(
      summary.moving
        ? /to lift one end, .* to pull/
        : /one carries it|two carry it|four carry it|rollers, or the tilt trailer/,
    );
    expect(strip(family, ['shop'], 'mm')).toMatch(/kg/);
  });
  it('is empty until there is something to show', () => {
    expect(plain(html(createElement(LiveStrip, { computed: undefined }))).trim()).toBe('');
  });
});

describe('what differs between two builds', () => {
  const differ = (a: ReturnType<typeof buildSpec>, b: ReturnType<typeof buildSpec>): string =>
    html(createElement(Difference, { before: a, after: b }));
  const short = buildSpec(specOf('raised-lean-to'));
  it('is nothing between equal ones', () => {
    expect(plain(differ(short, buildSpec(specOf('raised-lean-to'))))).toContain('Every part is the same.');
  });
  it('is a row for what is cut otherwise, comes or goes, and a count of the rest', () => {
    const long = buildSpec(specOf('raised-lean-to', { length: 82 }));
    const d = compareBuilds(short, long);
    const markup = differ(short, long);
    const rows = elements(markup, 'tr').slice(1);
    expect(rows).toHaveLength(d.added.length + d.removed.length + d.changed.length);
    expect(rows.filter((r) => r.words.startsWith('≠'))).toHaveLength(d.changed.length);
    expect(rows.filter((r) => r.words.startsWith('+'))).toHaveLength(d.added.length);
    expect(rows.filter((r) => r.words.startsWith('−'))).toHaveLength(d.removed.length);
    expect(plain(markup)).toContain(`${d.same} parts are the same.`);
    // The plate of the front wall is ten inches longer.
    expect(plain(markup)).toMatch(/front wall top plate.*72″ 82″/);
  });
  it('names the wood where it is another', () => {
    const wide = buildSpec(specOf('raised-lean-to', { depth: 90 }));
    expect(plain(differ(short, wide))).toMatch(/2×\d.* → 2×\d/);
  });
});
