/** One named step between two schema numbers of a family's specs. `down` undoes `up`. */
export interface Migration {
  readonly family: string;
  readonly name: string;
  /** Schema number that `up` leads to. */
  readonly to: number;
  readonly up: (params: Record<string, unknown>) => Record<string, unknown>;
  readonly down: (params: Record<string, unknown>) => Record<string, unknown>;
}

const rename =
  (from: string, to: string) =>
  (params: Record<string, unknown>): Record<string, unknown> => {
    if (!(from in params)) return params;
    const { [from]: value, ...rest } = params;
    return { ...rest, [to]: value };
  };

const replace =
  (from: string, to: string, value: (was: unknown) => unknown) =>
  (params: Record<string, unknown>): Record<string, unknown> => {
    if (!(from in params)) return params;
    const { [from]: was, ...rest } = params;
    return { ...rest, [to]: value(was) };
  };

/** All migrations, oldest first within a family. */
export const MIGRATIONS: readonly Migration[] = [
  {
    family: 'raised-lean-to',
    name: 'call the space under the floor legHeight',
    to: 2,
    up: rename('legs', 'legHeight'),
    down: rename('legHeight', 'legs'),
  },
  {
    family: 'raised-lean-to',
    name: 'choose what keeps diggers out: runSkirt becomes runDig',
    to: 3,
    up: replace('runSkirt', 'runDig', (skirt) => (skirt === false ? 'none' : 'skirt')),
    down: replace('runDig', 'runSkirt', (dig) => dig !== 'none'),
  },
];

/**
 * Brings the parameters of a spec from one schema number to another, up or down, through each named step.
 * @throws Error when a step is missing
 */
export const migrateSpec = (
  family: string,
  from: number,
  to: number,
  params: Record<string, unknown>,
  migrations: readonly Migration[] = MIGRATIONS,
): Record<string, unknown> => {
  let out = params;
  const step = (n: number): Migration => {
    const found = migrations.find((m) => m.family === family && m.to === n);
    if (!found) throw new Error(`No migration of ${family} specs leads to schema ${n}.`);
    return found;
  };
  for (let n = from + 1; n <= to; n++) out = step(n).up(out);
  for (let n = from; n > to; n--) out = step(n).down(out);
  return out;
};
