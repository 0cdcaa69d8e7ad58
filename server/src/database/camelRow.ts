/** Columns that never leave the server. */
const SECRET = new Set(['password_hash', 'plan', 'token']);

/** A row of the database as answers name its columns: `wanted_by` becomes `wantedBy`; secrets and kept plans are left out. */
export const camelRow = (row: Readonly<Record<string, unknown>>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(row)
      .filter(([key]) => !SECRET.has(key))
      .map(([key, value]) => [key.replace(/_([a-z])/g, (_, c: string) => c.toUpperCase()), value]),
  );
