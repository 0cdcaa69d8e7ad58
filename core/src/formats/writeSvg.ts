import type { Drawing, DrawItem, TextItem, Tone } from '../draw/index.ts';

/** Colours of each tone on paper. */
export const PAPER_TONES: Readonly<Record<Tone, string>> = {
  wood: '#E1C597',
  'wood-dark': '#CFA86F',
  treated: '#BDBE92',
  ply: '#EBDCBD',
  siding: '#D8CDB4',
  mesh: '#8C948D',
  metal: '#B9C0BD',
  shingle: '#8F8A80',
  glass: '#C9DAD6',
  cloth: '#7C8C6E',
  concrete: '#C4C3BB',
  fitting: '#5B6760',
  ink: '#1C2521',
  soft: '#8A938C',
  chalk: '#1F55A8',
  keel: '#B93A25',
  amber: '#E2A63A',
  tape: '#F2C230',
  ground: '#A9A08A',
  paper: '#FBFAF5',
  faded: '#F3F0E8',
};

const esc = (text: string): string =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c);
const n = (v: number): string => String(Math.round(v * 1000) / 1000);

/** A fill darkened by its shade. */
export const shadeColour = (hex: string, shade: number): string => {
  const k = 1 - shade * 0.55;
  return `#${[1, 3, 5]
    .map((i) =>
      Math.round(parseInt(hex.slice(i, i + 2), 16) * k)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
};

type Print = (item: TextItem) => string;

const itemSvg = (i: DrawItem, flip: (y: number) => number, unit: number, print: Print): string => {
  if (i.kind === 'area') {
    const d = i.rings.map((r) => `M${r.map(([x, y]) => `${n(x)} ${n(flip(y))}`).join('L')}Z`).join('');
    const mesh = i.fill === 'mesh';
    const fill = i.fill === 'none' ? 'none' : shadeColour(PAPER_TONES[i.fill], i.shade ?? 0);
    return `<path d="${d}" fill="${fill}" fill-rule="evenodd"${mesh ? ' fill-opacity="0.22"' : ''} stroke="${PAPER_TONES[i.stroke]}" stroke-width="${n(unit * (i.stroke === 'soft' ? 0.6 : 0.8))}" stroke-linejoin="round"${i.dashed ? ` stroke-dasharray="${n(unit * 5)} ${n(unit * 4)}"` : ''}/>`;
  }
  if (i.kind === 'line')
    return `<line x1="${n(i.from[0])}" y1="${n(flip(i.from[1]))}" x2="${n(i.to[0])}" y2="${n(flip(i.to[1]))}" stroke="${PAPER_TONES[i.stroke]}" stroke-width="${n(unit * i.weight)}"${i.dashed ? ` stroke-dasharray="${n(unit * 6)} ${n(unit * 4)}"` : ''}/>`;
  const [x, y] = [i.at[0], flip(i.at[1])];
  const wide = i.text.length * i.size * 0.62 + i.size * 0.7;
  const tag = i.tag
    ? `<rect x="${n(x - wide / 2)}" y="${n(y - i.size * 0.75)}" width="${n(wide)}" height="${n(i.size * 1.5)}" fill="${PAPER_TONES[i.tag]}"/>`
    : '';
  const turn = i.turn ? ` transform="rotate(${-i.turn} ${n(x)} ${n(y)})"` : '';
  return `${tag}<text x="${n(x)}" y="${n(i.tag ? y + i.size * 0.34 : y)}" font-family="Archivo, sans-serif" font-weight="600" font-size="${n(i.size)}" text-anchor="${i.anchor}" fill="${PAPER_TONES[i.tone]}"${turn}>${esc(print(i))}</text>`;
};

/** Writes a drawing as a stand-alone SVG, one user unit an inch, y down. `pixels` is the width it is meant for, `print` writes its texts in a reader's units. */
export const writeSvg = (drawing: Drawing, pixels = 800, print: Print = (item) => item.text): string => {
  const [x0, y0, x1, y1] = drawing.bounds;
  const wide = x1 - x0;
  const high = y1 - y0;
  const flip = (y: number): number => y1 + y0 - y;
  const unit = wide / pixels;
  const body = drawing.items.map((i) => itemSvg(i, flip, unit, print)).join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${n(x0)} ${n(y0)} ${n(wide)} ${n(high)}" width="${pixels}" height="${Math.round((pixels * high) / wide)}" role="img"><title>${esc(drawing.title)}</title>\n${body}\n</svg>\n`;
};
