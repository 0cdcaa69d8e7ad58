import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { createApp } from '../createApp.ts';
import { connect } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { Order } from '../orders/orders.answers.ts';
import { makeDemoDatabase } from './testDatabase.ts';

export type Agent = ReturnType<typeof request.agent>;

/** An application on a database of its own inside the throw-away server that the test run started. */
export interface TestApp {
  readonly db: Db;
  readonly as: (login: 'office' | 'shop' | 'driver') => Promise<Agent>;
  readonly anyone: () => Agent;
  /** The demo's order of that title. */
  readonly byTitle: (title: string) => Promise<number>;
  readonly order: (id: number) => Promise<Order>;
  readonly close: () => Promise<void>;
}

/** Opens the application with the demo in a fresh database called `name`. */
export const openTestApp = async (name: string): Promise<TestApp> => {
  const url = await makeDemoDatabase(name);
  process.env.DATABASE_URL = url;
  const db = connect(url);
  const app: NestExpressApplication = await createApp({ quiet: true });
  // One server that listens, so that many requests at once come over real connections.
  await app.listen(0, '127.0.0.1');
  const base = await app.getUrl();
  const as = async (login: string): Promise<Agent> => {
    const agent = request.agent(base);
    await agent.post('/api/session').send({ login, password: 'hedgerow' }).expect(200);
    return agent;
  };
  const office = await as('office');
  return {
    db,
    as,
    anyone: () => request.agent(base),
    byTitle: async (title) => {
      const row = (await db('orders').where({ title }).orderBy('id').first('id')) as { id: number } | undefined;
      if (!row) throw new Error(`The demo has no order called ${title}.`);
      return row.id;
    },
    order: async (id) => (await office.get(`/api/orders/${id}`).expect(200)).body as Order,
    close: async () => {
      await app.close();
      await db.destroy();
    },
  };
};
