/** Millimetres in one inch, exact by definition (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4;

/** Raised when text is not a length; `message` says what was read and what would be understood. */
export class LengthError extends Error {
  constructor(readonly text: string) {
    super(`"${text}" is not a length. Write it like 64 1/2, 5' 4 1/2", 5-4-1/2, 64.5, 1638 mm or 1.638 m.`);
    this.name = 'LengthError';
  }
}

const NUMBER = '(?:\\d+(?:\\.\\d*)?|\\.\\d+)';
const FRACTION = '(\\d+)\\s*/\\s*(\\d+)';
const METRIC = new RegExp(`^(${NUMBER})\\s*(mm|cm|m)$`, 'i');
const INCHES = new RegExp(`^(?:(${NUMBER})(?:[\\s-]+${FRACTION})?|${FRACTION})$`);
const FEET_DASH = new RegExp(`^(\\d+)-(\\d+(?:\\.\\d+)?)(?:-${FRACTION})?$`);
const GLYPHS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const tidy = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (g) => ` ${GLYPHS[g] ?? ''}`)
    .replace(/[′’]|\bft\b\.?|\bfeet\b|\bfoot\b/gi, "'")
    .replace(/[″”“]|\bin\b\.?|\binch(es)?\b/gi, '"')
    .replace(/''/g, '"')
    .replace(/\s+/g, ' ')
    .trim();

const parseInches = (text: string): number | undefined => {
  const m = INCHES.exec(text.replace(/"$/, '').trim());
  if (!m) return undefined;
  const [, whole, n1, d1, n2, d2] = m;
  const top = n1 ?? n2;
  const bottom = d1 ?? d2;
  if (top !== undefined && Number(bottom) === 0) return undefined;
  if (n1 !== undefined && whole?.includes('.')) return undefined;
  return Number(whole ?? 0) + (top === undefined ? 0 : Number(top) / Number(bottom));
};

/**
 * Reads a length as people in the trade write it and gives inches.
 * Accepts `5' 4 1/2"`, `5-4-1/2` (feet-inches-fraction), `64.5`, `64 1/2`, `1638 mm`, `163.8 cm`, `1.638 m`,
 * fraction glyphs, and a leading minus. A bare number is of the unit `bare`, inches where nothing is said.
 * @throws LengthError when the text is none of these
 */
export const parseLength = (text: string, bare: 'in' | 'mm' = 'in'): number => {
  let rest = tidy(text);
  let sign = 1;
  if (/^[-−]/.test(rest)) {
    sign = -1;
    rest = rest.slice(1).trim();
  }
  if (rest === '') throw new LengthError(text);
  const metric = METRIC.exec(rest);
  if (metric) {
    const scale = { mm: 1, cm: 10, m: 1000 }[(metric[2] ?? '').toLowerCase() as 'mm' | 'cm' | 'm'];
    return (sign * Number(metric[1]) * scale) / MM_PER_INCH;
  }
  if (bare === 'mm' && new RegExp(`^${NUMBER}$`).test(rest)) return (sign * Number(rest)) / MM_PER_INCH;
  const dash = FEET_DASH.exec(rest);
  if (dash) {
    if (dash[4] !== undefined && Number(dash[4]) === 0) throw new LengthError(text);
    const fraction = dash[3] === undefined ? 0 : Number(dash[3]) / Number(dash[4]);
    return sign * (Number(dash[1]) * 12 + Number(dash[2]) + fraction);
  }
  const tick = rest.indexOf("'");
  if (tick >= 0) {
    const feet = rest.slice(0, tick).trim();
    const inches = rest
      .slice(tick + 1)
      .replace(/^\s*-\s*/, '')
      .trim();
    if (!new RegExp(`^${NUMBER}$`).test(feet)) throw new LengthError(text);
    const tail = inches === '' ? 0 : parseInches(inches);
    if (tail === undefined) throw new LengthError(text);
    return sign * (Number(feet) * 12 + tail);
  }
  const plain = parseInches(rest);
  if (plain === undefined) throw new LengthError(text);
  return sign * plain;
};
