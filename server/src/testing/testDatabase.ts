import { connect } from '../database/connect.ts';

/**
 * Makes an empty database called `name` in the throw-away server that the test run started, and gives its address.
 * @throws Error when the tests were not started by npm test
 */
export const makeTestDatabase = async (name: string): Promise<string> => {
  const server = process.env.TEST_DATABASE_URL;
  if (server === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test, which starts a throw-away database.');
  const admin = connect(server);
  await admin.raw(`DROP DATABASE IF EXISTS ${name}`);
  await admin.raw(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  await admin.destroy();
  return server.replace(/\/[^/]*$/, `/${name}`);
};
