import { LengthError, parseLength, printLength } from '@rubbet/core/measure';
import type { Survey } from '@rubbet/core/site';

/** Where the rod is read, round the unit. */
export const CORNERS = ['front left', 'front right', 'back right', 'back left'] as const;

/** Readings as they are typed. */
export interface TypedGround {
  readonly texts: readonly string[];
  readonly lift: string;
  readonly gate: string;
}

/** Kept readings as they are typed; empty where nothing is read yet. */
export const typedGround = (survey: Survey | undefined): TypedGround => ({
  texts: CORNERS.map((_, i) => (survey?.pads[i] ? printLength(survey.pads[i].rod) : '')),
  lift: printLength(survey?.lift ?? 0),
  gate: survey?.gate === undefined ? '' : printLength(survey.gate),
});

/** A reading as typed: the inches, or what is wrong with it. */
export const readRod = (text: string): { readonly rod?: number; readonly error?: string } => {
  if (text.trim() === '') return { error: 'Read the rod here.' };
  try {
    const rod = parseLength(text);
    return rod < 0 || rod > 300 ? { error: 'From 0 to 300 inches.' } : { rod };
  } catch (error) {
    if (error instanceof LengthError) return { error: 'Write it like 52 1/2.' };
    throw error;
  }
};

/** The narrowest way in as typed, if it was measured. */
export const readGate = (text: string): { readonly width?: number; readonly error?: string } => {
  if (text.trim() === '') return {};
  const { rod, error } = readRod(text);
  if (error !== undefined || rod === undefined) return { error: error ?? 'Write it like 52 1/2.' };
  return rod < 12 ? { error: 'A way in is at least 12 inches wide.' } : { width: rod };
};

const sameReading = (a: string, b: string): boolean =>
  a.trim() === b.trim() || (readRod(a).rod !== undefined && readRod(a).rod === readRod(b).rod);

/** Whether two sets of readings say the same, however they are written. */
export const isSameGround = (a: TypedGround, b: TypedGround): boolean =>
  sameReading(a.lift, b.lift) &&
  sameReading(a.gate, b.gate) &&
  a.texts.every((t, i) => sameReading(t, b.texts[i] ?? ''));

/** What two sets of readings differ in, side by side. */
export const compareGrounds = (mine: TypedGround, theirs: TypedGround) => {
  const rows = [
    ...CORNERS.map((name, i) => [`Rod at ${name}`, mine.texts[i] ?? '', theirs.texts[i] ?? ''] as const),
    ['Highest pad over its ground', mine.lift, theirs.lift] as const,
    ['Narrowest way in', mine.gate, theirs.gate] as const,
  ];
  return rows
    .filter(([, a, b]) => a !== b)
    .map(([label, a, b]) => ({ label, mine: a || 'empty', theirs: b || 'empty' }));
};
