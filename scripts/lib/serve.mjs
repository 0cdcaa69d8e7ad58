// Starts the built server on a database and waits until it is ready.
import { spawn } from 'node:child_process';
import { root } from './setup.mjs';

export const startServer = ({ url, port, demo = 'yes', onLine }) =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        DATABASE_URL: url,
        PORT: String(port),
        WEB_DIR: `${root}/web/dist`,
        DEMO: demo,
        NODE_ENV: process.env.NODE_ENV ?? 'production',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    });
    let errors = '';
    let ready = false;
    child.stderr.on('data', (d) => {
      errors += d;
      if (ready) process.stderr.write(d);
    });
    child.stdout.on('data', (d) => {
      if (!ready && /^ready /m.test(String(d))) {
        ready = true;
        resolve({
          child,
          stop: () =>
            new Promise((done) =>
              child.exitCode === null ? (child.once('exit', done), child.kill('SIGTERM')) : done(),
            ),
        });
      } else onLine?.(String(d));
    });
    child.once('exit', (code) => {
      if (!ready) reject(new Error(errors.trim() || `The server ended with code ${code}.`));
    });
  });
