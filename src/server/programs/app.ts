// The application as a program: an HTTP server of our own around Astro's build, so that uploads may take long, answers
// are compressed, and a stop lets what is under way end.
import { createServer } from 'node:http';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import sirv from 'sirv';
import { resumeBales } from '../changes/sendBale';
import { readAhead } from '../field/readAhead';
import { askForDueJobs, runDueJobs } from '../jobs/runJobs';
import { directUrl } from '../../db/connection';
import { sweepSessions } from '../../db/queries/sessions';
import { refuseAbandonedImports } from '../../db/queries/imports';
import { closeContext, db, log, readingAhead } from '../context/context';
import { passGate } from '../http/gate';
import { withResponse } from '../http/streamResponse';
import { trustedProxies } from '../http/whereFrom';
import { mailSettings } from '../people/mail';
import { lookAtClock } from '../machine/clock';
import { needOwnerForOthers } from './owner';
import { whenStarterIsGone } from './starter';

const port = Number(process.env.MOWING_PORT ?? 4321);
const host = process.env.MOWING_HOST ?? '127.0.0.1';
const STOP_GRACE_MS = 5000;
const PICK_UP_EVERY_MS = 15_000;
const LOOK_FOR_JOBS_EVERY_MS = 700;
const SWEEP_EVERY_MS = 3_600_000;

const entry = pathToFileURL(path.resolve('dist/server/entry.mjs')).href;
const { handler } = (await import(entry)) as { handler: (...args: unknown[]) => void };
const compress = compression();
const whereFrom = trustedProxies();
// Built files carry a hash in their name and never change; the few others are asked for anew. They lie there packed.
const hashed = sirv('dist/client', { etag: true, gzip: true, maxAge: 31_536_000, immutable: true });
const plain = sirv('dist/client', { etag: true, gzip: true, maxAge: 0 });

const server = createServer((request, response) => {
  if (!passGate(request, response)) return;
  compress(request as never, response as never, () => {
    const serve = request.url?.startsWith('/_astro/') ? hashed : plain;
    serve(request, response, () =>
      withResponse(response, () => handler(request, response, undefined, { from: whereFrom(request) })),
    );
  });
});
server.requestTimeout = 0; // an upload of a large report may take longer than any fixed time
// Longer than clients keep an idle connection: one that is closed just as it is used again looks like a crash to them.
server.keepAliveTimeout = 75_000;
await needOwnerForOthers();
directUrl();
mailSettings(); // says at once what is missing there
server.listen(port, host, () => log().info({ port, host }, 'application is open'));

/** Does something now and every so often, never twice at once: one duty that hangs keeps no other waiting. */
function again(what: string, everyMs: number, duty: () => Promise<unknown>): NodeJS.Timeout {
  let isAtIt = false;
  const once = async () => {
    if (isAtIt) return;
    isAtIt = true;
    try {
      await duty();
    } catch (error) {
      log().error({ err: error }, `${what} failed; tried again`);
    } finally {
      isAtIt = false;
    }
  };
  void once();
  return setInterval(once, everyMs);
}

const duties = [
  // What an ended program may have left: imports that will never finish, bales without an answer.
  again('refusing abandoned imports', PICK_UP_EVERY_MS, () => refuseAbandonedImports(db())),
  again('delivering bales', PICK_UP_EVERY_MS, resumeBales),
  again('asking for due jobs', PICK_UP_EVERY_MS, askForDueJobs),
  again('reading ahead', PICK_UP_EVERY_MS, () => readingAhead(readAhead)),
  again('looking at the clock', PICK_UP_EVERY_MS, async () => lookAtClock()),
  again('forgetting ended sessions', SWEEP_EVERY_MS, () => sweepSessions(db())),
];
// Jobs are rows that any program takes: this one looks whenever it has a lane free, also while others are at work.
duties.push(
  setInterval(() => {
    runDueJobs().catch((error: unknown) =>
      log().error({ err: error }, 'looking for jobs failed; tried again'),
    );
  }, LOOK_FOR_JOBS_EVERY_MS),
);

async function stop() {
  // Whatever hangs (a database that is gone, a download nobody reads): a stop ends.
  setTimeout(() => process.exit(1), 2 * STOP_GRACE_MS).unref();
  for (const duty of duties) clearInterval(duty);
  server.close();
  const hard = setTimeout(() => server.closeAllConnections(), STOP_GRACE_MS);
  server.closeIdleConnections();
  await new Promise((resolve) => server.once('close', resolve));
  clearTimeout(hard);
  await closeContext();
  process.exit(0);
}

process.once('SIGTERM', () => void stop());
whenStarterIsGone(() => void stop());
