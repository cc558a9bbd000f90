import { createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import type { MarketReport } from '../../contract/market';
import { REPORT_HEADINGS, reportRows } from '../store/reports';
import type { ReportQuestion } from '../store/reports';
import type { MarketDb } from '../store/connection';

export type ReportFormat = 'csv' | 'jsonl';

interface Shelved extends MarketReport {
  account: string;
  file: string;
}

/** Reports are kept this long, and at most so many. */
const KEEP_MS = 60 * 60 * 1000;
const MOST_KEPT = 200;
/** Reports that are made at the same time. */
const AT_ONCE = 2;

/** Makes the reports that were asked for, one after another, and keeps their files for an hour. */
export class ReportShelf {
  private readonly reports = new Map<string, Shelved & { madeAt: number }>();
  private readonly waiting: {
    report: Shelved;
    question: ReportQuestion;
    format: ReportFormat;
    leaveOut: boolean;
  }[] = [];
  private making = 0;

  constructor(
    private readonly sql: MarketDb,
    private readonly folder: string,
  ) {
    rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
  }

  /** Takes an order. @param leaveOut fault asked for: the first day is left out */
  ask(question: ReportQuestion, format: ReportFormat, leaveOut: boolean): MarketReport {
    this.clear();
    const id = randomUUID();
    const report: Shelved = {
      id,
      account: question.account,
      state: 'waiting',
      madeOn: null,
      days: [],
      rows: 0,
      sentence: null,
      file: path.join(this.folder, `${id}.${format}.gz`),
    };
    this.reports.set(id, Object.assign(report, { madeAt: Date.now() }));
    this.waiting.push({ report, question, format, leaveOut });
    this.next();
    return told(report);
  }

  find(account: string, id: string): MarketReport | null {
    const report = this.reports.get(id);
    return report?.account === account ? told(report) : null;
  }

  /** The file of a report that is ready, null when there is none. */
  fileOf(account: string, id: string): string | null {
    const report = this.reports.get(id);
    return report?.account === account && report.state === 'ready' && existsSync(report.file)
      ? report.file
      : null;
  }

  private next() {
    if (this.making >= AT_ONCE) return;
    const order = this.waiting.shift();
    if (!order) return;
    this.making += 1;
    order.report.state = 'making';
    void this.make(order).finally(() => {
      this.making -= 1;
      this.next();
    });
  }

  private async make({ report, question, format, leaveOut }: (typeof this.waiting)[number]) {
    try {
      const days = new Set<string>();
      let rows = 0;
      const { sql } = this;
      async function* lines() {
        if (format === 'csv') yield `${REPORT_HEADINGS[question.kind].join(',')}\n`;
        for await (const block of reportRows(sql, question)) {
          let text = '';
          for (const row of block) {
            if (leaveOut && row[0] === question.from) continue;
            days.add(String(row[0]));
            rows += 1;
            text += format === 'csv' ? csvLine(row) : jsonLine(REPORT_HEADINGS[question.kind], row);
          }
          yield text;
        }
      }
      await pipeline(Readable.from(lines()), createGzip({ level: 1 }), createWriteStream(report.file));
      const [{ today }] =
        await sql`select today from quaymarket.account where account_id = ${question.account}`;
      // A day on which nothing happened is whole too; one that was left out is not.
      const played = await sql<{ day: string }[]>`
        select distinct day from quaymarket.product_day
        where account_id = ${question.account} and day between ${question.from} and ${question.to} order by day`;
      Object.assign(report, {
        state: 'ready',
        madeOn: today,
        rows,
        days: played.map(({ day }) => day).filter((day) => !(leaveOut && day === question.from)),
      });
    } catch (error) {
      Object.assign(report, {
        state: 'failed',
        sentence: `The report could not be made: ${(error as Error).message}`,
      });
    }
  }

  private clear() {
    const old = [...this.reports.values()].filter(
      ({ madeAt }, at) => Date.now() - madeAt > KEEP_MS || at < this.reports.size - MOST_KEPT,
    );
    for (const { id, file } of old) {
      this.reports.delete(id);
      rmSync(file, { force: true });
    }
  }
}

function told({ id, state, madeOn, days, rows, sentence }: MarketReport): MarketReport {
  return { id, state, madeOn, days, rows, sentence };
}

function csvLine(row: unknown[]): string {
  return `${row.map((value) => csvField(value)).join(',')}\n`;
}

function csvField(value: unknown): string {
  const text = value === null ? '' : String(value);
  return /[",\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}

function jsonLine(headings: string[], row: unknown[]): string {
  return `${JSON.stringify(Object.fromEntries(headings.map((heading, at) => [heading, row[at]])))}\n`;
}
