// Starts the built server on a database, and holds its port while it is away.
import { spawn } from 'node:child_process';
import { createServer } from 'node:http';
import { endProcess } from './processes.mjs';
import { root } from './setup.mjs';

/**
 * Starts the server and waits until it is ready. `onOpening` is called when all is prepared and it wants its port; `onSetup`
 * with the code of the first page when nobody is in the book yet.
 * Throws an Error with the server's own sentence when it ends before that.
 */
export const startServer = ({ url, port, demo = 'yes', onOpening, onSetup }) =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        DATABASE_URL: url,
        PORT: String(port),
        WEB_DIR: `${root}/web/dist`,
        DEMO: demo,
        RUBBET_PARENT: String(process.pid),
        NODE_ENV: process.env.NODE_ENV ?? 'production',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    });
    let errors = '';
    let ready = false;
    const gone = new Promise((done) => child.once('exit', (code, signal) => done(signal ?? `code ${code}`)));
    child.stderr.on('data', (d) => {
      errors = `${errors}${d}`.slice(-4000);
      if (ready) process.stderr.write(d);
    });
    child.stdout.on('data', (d) => {
      const setup = /^setup (\S+)$/m.exec(String(d));
      if (setup) onSetup?.(setup[1]);
      if (/^opening$/m.test(String(d))) onOpening?.();
      if (!ready && /^ready /m.test(String(d))) {
        ready = true;
        resolve({ child, gone, stop: () => endProcess(child.pid, 15_000) });
      }
    });
    void gone.then((why) => {
      if (!ready) reject(new Error(errors.trim() || `The server ended before it was ready (${why}).`));
    });
  });

const PAGE = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="refresh" content="2"><title>Rubbet</title>
<style>body{font:17px/1.5 sans-serif;background:#F3F0E8;color:#1C2521;display:grid;place-items:center;height:100vh;margin:0}</style></head>
<body><p>Rubbet is starting. This page looks again by itself.</p></body></html>`;

/** Answers 503 on a port while nobody else does, so that whoever calls hears a sentence instead of nothing. */
export const holdPort = (port) =>
  new Promise((resolve, reject) => {
    const sockets = new Set();
    const server = createServer((request, response) => {
      response.setHeader('Retry-After', '2');
      response.setHeader('Connection', 'close');
      if (request.url?.startsWith('/api')) {
        response.writeHead(503, { 'Content-Type': 'application/json; charset=utf-8' });
        response.end(
          JSON.stringify({
            status: 503,
            code: 'away',
            message: 'The shop’s server is starting again. Nothing was changed; it is tried again in a moment.',
          }),
        );
      } else {
        response.writeHead(503, { 'Content-Type': 'text/html; charset=utf-8' });
        response.end(PAGE);
      }
    });
    server.on('connection', (s) => {
      sockets.add(s);
      s.once('close', () => sockets.delete(s));
    });
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () =>
      resolve({
        release: () => {
          server.close();
          for (const s of sockets) s.destroy();
        },
      }),
    );
  });
