import { DemandError, onlyThese, readList, readNumber, readRecord, readText } from '../cut/index.ts';
import type { Day } from '../days/index.ts';
import { DAY } from './clock.ts';

export const readDay = (v: unknown, where: string): Day => {
  const text = readText(v, where);
  const ms = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : NaN;
  // A 31st of February would be read as a day in March.
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== text)
    throw new DemandError(`${where} is ${JSON.stringify(text)}; it must be a day like 2026-03-02.`);
  return text;
};

/** Minutes after midnight of `08:30`. */
export const readTime = (v: unknown, where: string): number => {
  const [, h, m] = /^(\d{2}):(\d{2})$/.exec(typeof v === 'string' ? v : '') ?? [];
  const at = Number(h) * 60 + Number(m);
  if (h === undefined || Number(m) > 59 || at > DAY)
    throw new DemandError(`${where} is ${JSON.stringify(v)}; it must be a time like 08:30.`);
  return at;
};

export const readSpan = (v: unknown, where: string): readonly [number, number] => {
  const [from, to, ...more] = readList(v, where);
  const span = [readTime(from, `${where}[0]`), readTime(to, `${where}[1]`)] as const;
  if (more.length > 0 || span[0] >= span[1]) throw new DemandError(`${where} must be two times, the earlier first.`);
  return span;
};

export const readSize = (v: unknown, where: string): readonly [number, number, number] => {
  const [a, b, c, ...more] = readList(v, where);
  if (more.length > 0) throw new DemandError(`${where} must be length, width and height.`);
  return [
    readNumber(a, `${where}[0]`, 0, true),
    readNumber(b, `${where}[1]`, 0, true),
    readNumber(c, `${where}[2]`, 0, true),
  ];
};

export const readFlag = (v: unknown, where: string, usual: boolean): boolean => {
  if (v === undefined) return usual;
  if (typeof v !== 'boolean') throw new DemandError(`${where} is ${JSON.stringify(v)}; it must be true or false.`);
  return v;
};

export const readNames = (v: unknown, where: string): string[] =>
  readList(v ?? [], where).map((n, i) => readText(n, `${where}[${i}]`));

export const each = <T>(
  v: unknown,
  where: string,
  keys: readonly string[],
  read: (r: Record<string, unknown>, at: string) => T,
): T[] =>
  readList(v ?? [], where).map((raw, i) => {
    const at = `${where}[${i}]`;
    const r = readRecord(raw, at);
    onlyThese(r, keys, at);
    return read(r, at);
  });

export const once = (list: readonly { readonly id: string }[], where: string): void => {
  const ids = new Set<string>();
  for (const { id } of list) {
    if (ids.has(id)) throw new DemandError(`${where} has the id "${id}" twice; each needs its own.`);
    ids.add(id);
  }
};
