import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { drawBuild } from '@rubbet/core/draw';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { ChakraProvider } from '@chakra-ui/react';
import { system } from '../app/theme.ts';
import { DrawingView } from './DrawingView.tsx';
import { TapeMarks } from './TapeMarks.tsx';
import { Len, WithFractions } from './Text.tsx';

const html = (element: React.ReactElement): string =>
  renderToStaticMarkup(createElement(ChakraProvider, { value: system, children: element }));
const plain = (markup: string): string => markup.replace(/<style[\s\S]*?<\/style>/g, '').replace(/<[^>]*>/g, '');

describe('Len', () => {
  it.each([
    [64.5, '64\u20091/2″'],
    [0.75, '3/4″'],
    [72, '72″'],
    [0, '0″'],
    [-2.25, '−2\u20091/4″'],
  ])('%d in', (inches, text) => expect(plain(html(createElement(Len, { inches })))).toBe(text));
  it('sets the fraction by itself, as a real one', () => {
    expect(html(createElement(Len, { inches: 64.5 }))).toMatch(/<span class="frac">1\/2<\/span>/);
  });
  it('shows feet where asked', () => {
    expect(plain(html(createElement(Len, { inches: 97.5, feet: true })))).toBe('8′ 1\u20091/2″');
    expect(plain(html(createElement(Len, { inches: 96, feet: true })))).toBe('8′ ');
  });
});

describe('WithFractions', () => {
  it('sets every fraction of a sentence and turns the quote into a double prime', () => {
    const markup = html(createElement(WithFractions, { text: '49 1/2" costs a sheet that 48" saves' }));
    expect(markup).toMatch(/<span class="frac">1\/2<\/span>/);
    expect(plain(markup)).toBe('49 1/2″ costs a sheet that 48″ saves');
  });
});

describe('TapeMarks on the screen', () => {
  it.each([false, true])('set every cross on the side where its piece lies, mirrored %s', (mirrored) => {
    const build = buildSpec(parseSpec({ family: 'raised-lean-to', ...(mirrored ? { mirrored } : {}) }));
    const tape = build.assemblies.find((a) => a.id === 'front-wall')?.tapes[0];
    if (!tape) throw new Error('The front wall has no tape.');
    const markup = html(createElement(TapeMarks, { tape, tall: true }));
    const drawn = [
      ...markup.matchAll(
        /<line x1="([\d.]+)"[^>]*stroke="#1C1503"[^>]*><\/line><text x="([\d.]+)"[^>]*data-cross="(\w+)"/g,
      ),
    ];
    expect(drawn).toHaveLength(tape.marks.length);
    drawn.forEach((m, i) => {
      expect(m[3]).toBe(tape.marks[i]?.side);
      expect(Number(m[2]) > Number(m[1])).toBe(tape.marks[i]?.side === 'right');
    });
  });
});

describe('DrawingView', () => {
  const build = buildSpec(parseSpec({ family: 'low-pen', params: {} }));
  it.each(['front', 'plan', 'three', 'panel:front'])('draws every item of %s, none without a place', (view) => {
    const drawing = drawBuild(build, view);
    const markup = html(createElement(DrawingView, { drawing }));
    expect(markup).not.toMatch(/NaN|undefined/);
    expect((markup.match(/data-part=/g) ?? []).length).toBe(
      drawing.items.filter((i) => i.kind === 'area' && i.part !== undefined).length,
    );
  });
  it('names itself for those who do not see it', () => {
    expect(html(createElement(DrawingView, { drawing: drawBuild(build, 'front') }))).toMatch(
      /role="img" aria-label="Front elevation"/,
    );
  });
});

describe('TapeMarks', () => {
  const build = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));
  const tape = build.assemblies.find((a) => a.id === 'front-wall')?.tapes[0];
  it('draws every mark with its figure, none over another', () => {
    if (!tape) throw new Error('The front wall has no tape.');
    const markup = html(createElement(TapeMarks, { tape }));
    expect((markup.match(/>×</g) ?? []).length).toBe(tape.marks.length);
    const figures = [
      ...markup.matchAll(/<text x="([\d.]+)" y="([\d.]+)" font-size="16" text-anchor="middle"[^>]*>(.*?)<\/text>/g),
    ]
      .filter((m) => m[3] !== '×')
      .map((m) => ({ x: Number(m[1]), y: Number(m[2]), wide: plain(m[3] ?? '').length * 8 }));
    expect(figures).toHaveLength(tape.marks.length);
    for (const [i, a] of figures.entries())
      for (const b of figures.slice(i + 1))
        if (a.y === b.y) expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual((a.wide + b.wide) / 2 - 1);
  });
});
