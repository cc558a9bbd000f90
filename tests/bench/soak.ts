// npm run bench -- --soak MINUTES [--processes 2]: nine people at work for so long, on one or two processes of the application.
import { readFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import type { AccountInfo } from '../../src/contract/api';
import { aReport, aReportRow } from '../make/report';
import { median, say } from './timed';

const MINUTES = Number(process.env.MOWING_SOAK_MINUTES);
const URLS = process.env.MOWING_SOAK_URLS!.split(' ');
const PIDS = process.env.MOWING_SOAK_PIDS!.split(' ');
const SAMPLE_MS = 2000;
/** Memory at the end may be this much of what it was after the first third; above, it is called growing. */
const FLAT = 1.15;

const times = new Map<string, number[]>();
const errors = new Map<string, number>();
let toldToComeBack = 0;
const end = Date.now() + MINUTES * 60_000;

const count = (what: string) => errors.set(what, (errors.get(what) ?? 0) + 1);

/** One call, timed under its name; what is no answer of ours is an error. */
async function call<T>(url: string, name: string, where: string, init?: RequestInit): Promise<T | null> {
  const start = performance.now();
  try {
    const answer = await fetch(`${url}${where}`, init);
    const text = await answer.text();
    times.set(name, [...(times.get(name) ?? []), performance.now() - start]);
    if (answer.status === 503 && answer.headers.has('retry-after')) toldToComeBack += 1;
    else if (answer.status >= 500) count(`${name} ${answer.status}`);
    return answer.ok && answer.headers.get('content-type')?.includes('json') ? (JSON.parse(text) as T) : null;
  } catch (error) {
    count(`${name} ${(error as Error).name}`);
    return null;
  }
}

const send = (method: string, body: unknown): RequestInit => ({
  method,
  body: JSON.stringify(body),
  headers: { 'content-type': 'application/json' },
});

type Client = (url: string, account: number, round: number) => Promise<unknown>;

const looks = (...paths: [string, string][]): Client => {
  return async (url, account) => {
    for (const [name, path] of paths)
      await call(url, name, `${path}${path.includes('?') ? '&' : '?'}account=${account}`);
  };
};

/** Nine people: what each does again and again. */
const CLIENTS: Client[] = [
  looks(
    ['overview', '/api/overview'],
    ['tree', '/api/tree'],
    ['sync', '/api/sync'],
    ['revision', '/api/revision'],
  ),
  looks(['review', '/api/review'], ['bid feed', '/api/bid-feed']),
  looks(['field', '/api/field'], ['field terms', '/api/field?grain=term'], ['effects', '/api/effects']),
  looks(['plan over', '/api/plan?step=over'], ['plan harvest', '/api/plan?step=harvest']),
  looks(
    ['sums by day', '/api/sums?grain=day&from=2026-08-01&to=2026-11-22'],
    ['sums by term', '/api/sums?grain=term&from=2026-10-01&to=2026-11-22'],
  ),
  looks(
    ['export', '/api/export?kind=targets&format=csv'],
    ['export xlsx', '/api/export?kind=placements&format=xlsx'],
  ),
  looks(
    ['changes', '/api/changes'],
    ['bales', '/api/bales'],
    ['trail', '/api/audit'],
    ['accounts', '/api/accounts'],
    ['page', '/round'],
  ),
  async (url, account, round) => {
    const swaths = { account, name: `Soak ${round % 5}`, lens: 'targets', conditions: [] };
    await call(
      url,
      'keep choices',
      '/api/choices',
      send('PUT', { account, pace: round % 2 === 0 ? 'steady' : 'careful' }),
    );
    await call(url, 'keep swath', '/api/swaths', send('PUT', swaths));
    await call(url, 'take back', '/api/choices', send('DELETE', { account }));
  },
  async (url, _account, round) => {
    const own = await ownAccount(url);
    const file = aReport({
      rows: Array.from({ length: 3000 }, (_, at) =>
        aReportRow({
          campaignId: 'C-soak',
          campaign: 'Soak',
          adGroupId: 'G-soak',
          targetId: 'T-soak',
          term: `term ${at}`,
          clicks: round % 100,
        }),
      ),
    });
    await call(url, 'import', `/api/imports?account=${own}&kind=terms&name=soak.csv`, {
      method: 'POST',
      body: file,
    });
  },
];

let own: Promise<number> | undefined;
const ownAccount = (url: string) =>
  (own ??= call<AccountInfo>(
    url,
    'make account',
    '/api/accounts',
    send('POST', { name: `Soak ${Date.now()}`, currency: 'EUR', targetAcos: 0.3 }),
  ).then((made) => made!.id));

/** Megabytes that a process holds. */
const memoryOf = (pid: string) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

async function soak(): Promise<boolean> {
  const accounts = (await call<AccountInfo[]>(URLS[0], 'accounts', '/api/accounts'))!;
  const account = accounts.find(({ connected }) => connected)!.id;
  const memory = PIDS.map(() => [] as number[]);
  const work = CLIENTS.map(async (client, at) => {
    for (let round = 0; Date.now() < end; round += 1) await client(URLS[at % URLS.length], account, round);
  });
  while (Date.now() < end) {
    PIDS.forEach((pid, at) => memory[at].push(memoryOf(pid)));
    await sleep(SAMPLE_MS);
  }
  await Promise.all(work);
  for (const [name, all] of [...times].sort()) {
    const sorted = [...all].sort((a, b) => a - b);
    const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
    say(
      `${name.padEnd(16)}${String(all.length).padStart(7)} calls   p50 ${at(0.5).toFixed(0).padStart(5)} ms   p99 ${(at(0.99) / at(0.5)).toFixed(1).padStart(5)} × p50`,
    );
  }
  const grown = memory.map(
    (held) =>
      median(held.slice(-Math.ceil(held.length / 5))) /
      median(held.slice(Math.floor(held.length / 3), Math.ceil(held.length / 2))),
  );
  grown.forEach((ratio, at) =>
    say(
      `memory          process ${at + 1}: ${Math.round(memory[at].at(-1)!)} MB at the end, ${ratio.toFixed(2)} × that after the first third${ratio > FLAT ? ': it grows' : ''}`,
    ),
  );
  const failed = [...errors.values()].reduce((all, n) => all + n, 0);
  say(
    `errors          ${failed}${failed > 0 ? ` (${[...errors].map(([what, n]) => `${what}: ${n}`).join(', ')})` : ''}; told to come back: ${toldToComeBack}`,
  );
  return failed === 0 && grown.every((ratio) => ratio <= FLAT);
}

process.exitCode = (await soak()) ? 0 : 1;
