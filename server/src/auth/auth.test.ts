import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await openTestApp('rubbet_auth');
});
afterAll(() => app.close());

describe('signing in', () => {
  it('keeps everything but the door closed to strangers', async () => {
    const anyone = app.anyone();
    for (const path of ['orders', 'today', 'models', 'rack', 'settings', 'board', 'road', 'customers']) {
      const { body } = await anyone.get(`/api/${path}`).expect(401);
      expect(body).toMatchObject({ status: 401, code: 'signed-out', message: 'Sign in to go on.' });
    }
    await anyone.get('/api/health').expect(200, { ok: true });
  });
  it('sets a cookie that scripts and other sites cannot use', async () => {
    const response = await app.anyone().post('/api/session').send({ login: 'shop', password: 'hedgerow' }).expect(200);
    expect(String(response.headers['set-cookie'])).toMatch(/HttpOnly; SameSite=Strict/);
    expect(response.body).toMatchObject({ roles: ['shop'] });
  });
  it('tells neither which of login and password was wrong, and makes guessing wait', async () => {
    const first = await app.anyone().post('/api/session').send({ login: 'nobody', password: 'x' }).expect(401);
    const second = await app.anyone().post('/api/session').send({ login: 'driver', password: 'x' }).expect(401);
    expect(first.body.message).toBe(second.body.message);
  });
  it('gives each role its own', async () => {
    const shop = await app.as('shop');
    const driver = await app.as('driver');
    await shop.get('/api/orders').expect(200);
    const refused = await shop.post('/api/orders').send({}).expect(403);
    expect(refused.body.code).toBe('not-yours');
    await driver.get('/api/road').expect(200);
    await driver.patch('/api/settings').send({ version: 0, value: {} }).expect(403);
  });
  it('signs out for good', async () => {
    const agent = await app.as('shop');
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });
});

describe('the interface to other programs', () => {
  it('describes itself, with the shapes of its answers', async () => {
    const { body } = await app.anyone().get('/api/openapi.json').expect(200);
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(['/api/orders', '/api/board/move', '/api/board/put-back', '/api/visit/{token}']),
    );
    expect(Object.keys(body.components.schemas)).toEqual(expect.arrayContaining(['Order', 'WorkOrder', 'BoardAnswer']));
    for (const [path, routes] of Object.entries(body.paths as Record<string, Record<string, { responses: object }>>))
      // Files and pictures have none.
      if (!/\.(pdf|csv|svg|zip|ics)|session|photos\/\{photo\}/.test(path))
        for (const route of Object.values(routes))
          // What answers with nothing, or never ends, has no shape.
          if (!('204' in route.responses) && !/live|work-order\/print/.test(path))
            expect([path, JSON.stringify(route.responses)]).toEqual([
              path,
              expect.stringMatching(/#\/components\/schemas/),
            ]);
  });
  it('sends a strict content policy', async () => {
    const response = await app.anyone().get('/api/health');
    expect(response.headers['content-security-policy']).toMatch(/default-src 'self'/);
  });
});
