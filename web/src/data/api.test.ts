import { api, ApiError, fetcher } from './api.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});
const asked: { url: string; options: RequestInit }[] = [];
/** Lets the server answer with this. */
const answers = (status: number, body: string): void => {
  asked.length = 0;
  globalThis.fetch = ((url: string, options: RequestInit) => {
    asked.push({ url, options });
    return Promise.resolve(new Response(status === 204 ? null : body, { status }));
  }) as typeof fetch;
};

describe('calling the server', () => {
  it('gives what it answers, and sends JSON only where there is a body', async () => {
    answers(200, '{"a": 1}');
    expect(await fetcher('/orders')).toEqual({ a: 1 });
    expect(asked[0]).toMatchObject({ url: '/api/orders', options: { method: 'GET' } });
    expect(asked[0]?.options).not.toHaveProperty('body');
    answers(200, '[]');
    expect(await api('/orders', { method: 'POST', body: { title: 'x' } })).toEqual([]);
    expect(asked[0]?.options).toMatchObject({
      method: 'POST',
      body: '{"title":"x"}',
      headers: { 'content-type': 'application/json' },
      credentials: 'same-origin',
    });
  });
  it('gives nothing where nothing is answered', async () => {
    answers(204, '');
    expect(await api('/session', { method: 'DELETE' })).toBeUndefined();
  });
  it('throws the server’s own sentence, with its code and all that came with it', async () => {
    answers(409, '{"code": "asks", "message": "This takes something away.", "undoes": ["days"]}');
    await expect(api('/orders/1')).rejects.toMatchObject({
      status: 409,
      code: 'asks',
      message: 'This takes something away.',
      body: { undoes: ['days'] },
    });
  });
  it.each([
    [502, '<html>Bad gateway</html>'],
    [500, ''],
  ])('says something that can be shown when the answer is %d and no sentence', async (status, body) => {
    answers(status, body);
    await expect(api('/orders')).rejects.toMatchObject({
      status,
      code: 'failed',
      message: 'That did not work; try again.',
    });
  });
  it('says that nothing is lost when nobody answers', async () => {
    globalThis.fetch = (() => Promise.reject(new TypeError('Failed to fetch'))) as typeof fetch;
    await expect(api('/orders')).rejects.toBeInstanceOf(ApiError);
    await expect(api('/orders')).rejects.toMatchObject({
      code: 'offline',
      message: expect.stringMatching(/still here/),
    });
  });
});
