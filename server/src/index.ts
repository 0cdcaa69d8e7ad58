export { createApp, describeApi } from './createApp.ts';
export { connect, migrate, readJson } from './database/connect.ts';
export { newestMigration } from './database/migrations/index.ts';
export type { Db } from './database/connect.ts';
export { hashPassword } from './auth/passwords.ts';
export { addFromTerminal, resetFromTerminal } from './auth/fromTerminal.ts';
