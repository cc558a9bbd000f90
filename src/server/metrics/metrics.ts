import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { countJobs } from '../../db/queries/jobs';
import { db } from '../context/context';

// Kept on the process: the pages' build and the program around it are two bundles, and must share it.
const KEY = Symbol.for('mowing.metrics');
const keeper = globalThis as unknown as Record<symbol, ReturnType<typeof make> | undefined>;
const metrics = () => (keeper[KEY] ??= make());

function make() {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry, prefix: 'mowing_' });
  const requests = new Histogram({
    name: 'mowing_request_seconds',
    help: 'Requests of the interface, by route, method and status, in seconds',
    labelNames: ['route', 'method', 'status'] as const,
    buckets: [0.01, 0.03, 0.1, 0.3, 1, 3, 10, 30],
    registers: [registry],
  });
  new Gauge({
    name: 'mowing_jobs',
    help: 'Jobs that wait or run, and those whose last try failed, by kind and state',
    labelNames: ['kind', 'state'] as const,
    registers: [registry],
    async collect() {
      this.reset();
      for (const { kind, state, count } of await countJobs(db())) this.set({ kind, state }, count);
    },
  });
  return { registry, requests };
}

/** Notes how long a request took. @param route its pattern, without ids: one line for each, however many are asked for */
export function noteRequest(route: string, method: string, status: number, seconds: number): void {
  metrics().requests.observe({ route, method, status }, seconds);
}

/** Everything that is measured, in the text format of Prometheus. */
export async function metricsText(): Promise<{ text: string; type: string }> {
  const { registry } = metrics();
  return { text: await registry.metrics(), type: registry.contentType };
}
