import { setTimeout as sleep } from 'node:timers/promises';
import { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import type { MarketReport, MarketReportKind } from '../../contract/market';
import { MowingError } from '../../contract/mowingError';
import { json } from './ask';
import type { Asker } from './ask';

/** What a report is to hold. */
export interface ReportOrder {
  kind: MarketReportKind;
  from: string;
  to: string;
  /** As it looked on this day of the market; left out: as it looks now. */
  madeOn?: string;
}

/** A report that is ready, with its file as text bytes. */
export interface FetchedReport {
  report: MarketReport;
  csv: AsyncIterable<Uint8Array>;
}

const FIRST_POLL_MS = 40;
const LAST_POLL_MS = 1500;
const READY_WITHIN_MS = 15 * 60_000;
const IDLE_MS = 30_000;

/** Asks for a report, waits until it is made, and opens its file. @throws MowingError as every call to a market */
export async function fetchReport(
  { ask, body }: Asker,
  account: string,
  order: ReportOrder,
): Promise<FetchedReport> {
  const path = `/accounts/${account}/reports`;
  const { id } = await body<MarketReport>(path, json({ ...order, format: 'csv' }));
  const report = await whenReady(() => body<MarketReport>(`${path}/${id}`));
  const idle = idleLimit();
  const answer = await ask(`${path}/${id}/file`, {}, { signal: idle.signal });
  idle.rest(); // its reader may be busy with the one before
  return { report, csv: unpacked(answer, idle) };
}

async function whenReady(look: () => Promise<MarketReport>): Promise<MarketReport> {
  const end = Date.now() + READY_WITHIN_MS;
  for (let pause = FIRST_POLL_MS; Date.now() < end; pause = Math.min(LAST_POLL_MS, pause * 1.6)) {
    const report = await look();
    if (report.state === 'ready') return report;
    if (report.state === 'failed')
      throw new MowingError('market-refused', report.sentence ?? 'The market could not make the report.');
    await sleep(pause);
  }
  throw new MowingError(
    'market-down',
    'The market did not make the report in time. It will be asked for again.',
  );
}

/** Ends a download of which nothing more comes; while its reader is at work, nothing is counted. */
function idleLimit() {
  const ended = new AbortController();
  let timer: NodeJS.Timeout | undefined;
  const rest = () => clearTimeout(timer);
  const wait = () => {
    rest();
    timer = setTimeout(() => ended.abort(new DOMException('no more of it came', 'TimeoutError')), IDLE_MS);
  };
  wait();
  return { signal: ended.signal, wait, rest };
}

async function* unpacked(answer: Response, idle: ReturnType<typeof idleLimit>): AsyncGenerator<Uint8Array> {
  const file = Readable.fromWeb(answer.body as never);
  const text = file.pipe(createGunzip());
  file.on('error', (error) => text.destroy(error));
  idle.wait();
  try {
    for await (const part of text) {
      idle.rest();
      yield part as Uint8Array;
      idle.wait();
    }
    idle.rest();
  } catch {
    idle.rest();
    throw new MowingError(
      'market-down',
      'The market’s report was cut off on its way. Nothing of it was kept; it is asked for again.',
    );
  }
}
