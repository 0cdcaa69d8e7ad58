import { makeUuid } from './makeUuid.ts';

describe('makeUuid', () => {
  const made = Array.from({ length: 500 }, makeUuid);
  it('gives random UUIDs of version 4, as the server wants them', () => {
    for (const uuid of made)
      expect(uuid).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });
  it('never gives the same twice', () => expect(new Set(made).size).toBe(made.length));
});
