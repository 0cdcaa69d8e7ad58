import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { createApp } from '../createApp.ts';
import { connect, migrate } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { loadDemo } from '../demo/loadDemo.ts';
import { makeTestDatabase } from './testDatabase.ts';

/** An application on a database of its own inside the throw-away server that the test run started. */
export interface TestApp {
  readonly db: Db;
  readonly as: (login: 'office' | 'shop' | 'driver') => Promise<ReturnType<typeof request.agent>>;
  readonly anyone: () => ReturnType<typeof request.agent>;
  readonly close: () => Promise<void>;
}

/** Opens the application with the demo in a fresh database called `name`. */
export const openTestApp = async (name: string): Promise<TestApp> => {
  const url = await makeTestDatabase(name);
  process.env.DATABASE_URL = url;
  const db = connect(url);
  await migrate(db);
  await loadDemo(db);
  const app: NestExpressApplication = await createApp({ quiet: true });
  await app.init();
  const http = app.getHttpServer();
  return {
    db,
    anyone: () => request.agent(http),
    as: async (login) => {
      const agent = request.agent(http);
      await agent.post('/api/session').send({ login, password: 'hedgerow' }).expect(200);
      return agent;
    },
    close: async () => {
      await app.close();
      await db.destroy();
    },
  };
};
