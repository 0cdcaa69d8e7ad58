import { LengthError } from '@rubbet/core/measure';
import type { Show } from '@rubbet/core/order';
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
export const typedGround = (survey: Survey | undefined, show: Show): TypedGround => ({
  texts: CORNERS.map((_, i) => (survey?.pads[i] ? show.length(survey.pads[i].rod) : '')),
  lift: show.length(survey?.lift ?? 0),
  gate: survey?.gate === undefined ? '' : show.length(survey.gate),
});

/** A reading as typed: the inches, or what is wrong with it. */
export const readRod = (text: string, show: Show): { readonly rod?: number; readonly error?: string } => {
  if (text.trim() === '') return { error: 'Read the rod here.' };
  try {
    const rod = show.read(text);
    return rod < 0 || rod > 300 ? { error: `From ${show.length(0)} to ${show.length(300)}.` } : { rod };
  } catch (error) {
    if (error instanceof LengthError) return { error: `Write it like ${show.example}.` };
    throw error;
  }
};

/** The narrowest way in as typed, if it was measured. */
export const readGate = (text: string, show: Show): { readonly width?: number; readonly error?: string } => {
  if (text.trim() === '') return {};
  const { rod, error } = readRod(text, show);
  if (error !== undefined || rod === undefined) return { error: error ?? `Write it like ${show.example}.` };
  return rod < 12 ? { error: `A way in is at least ${show.length(12)} wide.` } : { width: rod };
};

const sameReading = (a: string, b: string, show: Show): boolean =>
  a.trim() === b.trim() || (readRod(a, show).rod !== undefined && readRod(a, show).rod === readRod(b, show).rod);

/** A reading for keeping: one that was not touched stays as exact as it was kept, however it was rounded to be shown. */
export const keptRod = (text: string, kept: number | undefined, show: Show): number | undefined =>
  kept !== undefined && text.trim() === show.length(kept) ? kept : readRod(text, show).rod;

/** Whether two sets of readings say the same, however they are written. */
export const isSameGround =
  (show: Show) =>
  (a: TypedGround, b: TypedGround): boolean =>
    sameReading(a.lift, b.lift, show) &&
    sameReading(a.gate, b.gate, show) &&
    a.texts.every((t, i) => sameReading(t, b.texts[i] ?? '', show));

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
