import type { Flock } from '@rubbet/core/flock';

/** A flock as it is typed: the two numbers as text, everything else chosen. */
export interface TypedFlock extends Omit<Flock, 'now' | 'later'> {
  readonly now: string;
  readonly later: string;
}

const START: Flock = {
  kind: 'layers',
  now: 4,
  later: 6,
  breed: 'standard',
  ranging: true,
  mover: 'two adults',
  moves: 'never',
};
const MOST = 500;

/** The kept flock as it is typed; a usual one where none is written down. */
export const typedFlock = (flock: Flock | null): TypedFlock => {
  const f = flock ?? START;
  return { ...f, now: String(f.now), later: String(f.later) };
};

const fault = (text: string): string | undefined =>
  /^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= MOST ? undefined : `A whole number from 1 to ${MOST}.`;

/** What is wrong with the numbers, and the flock; a number that is none counts as one bird until it is mended. */
export const readFlock = (
  typed: TypedFlock,
): { readonly errors: { readonly now?: string; readonly later?: string }; readonly flock: Flock } => {
  const [now, later] = [fault(typed.now), fault(typed.later)];
  return {
    errors: { ...(now === undefined ? {} : { now }), ...(later === undefined ? {} : { later }) },
    flock: {
      ...typed,
      now: now === undefined ? Number(typed.now) : 1,
      later: later === undefined ? Number(typed.later) : 1,
    },
  };
};

const WORDS: Readonly<Record<string, string>> = {
  kind: 'Birds for',
  now: 'Birds now',
  later: 'Birds in two years',
  breed: 'Breed',
  ranging: 'Out of the run by day',
  moves: 'Moved',
  winters: 'Winters',
  mover: 'Who moves it',
};
const say = (v: unknown): string => (v === true ? 'yes' : v === false ? 'no' : String(v ?? 'not said'));

/** What two flocks differ in, side by side. */
export const compareFlocks = (mine: TypedFlock, theirs: TypedFlock) =>
  Object.keys(WORDS).flatMap((key) => {
    const [a, b] = [mine[key as keyof TypedFlock], theirs[key as keyof TypedFlock]];
    return a === b ? [] : [{ label: WORDS[key] ?? key, mine: say(a), theirs: say(b) }];
  });
