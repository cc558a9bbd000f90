import { classifyTarget } from '../../connect/reports';
import type { ReportSpec } from '../../connect/reports';
import { smallest } from '../../core/order';
import { dayFromNumber, mondayOf } from '../../core/units';
import { copyNumbers } from '../../db/binaryCopy';
import type { CopyColumn } from '../../db/binaryCopy';
import type { Transaction } from '../../db/connection';
import { raiseFigures } from '../../db/queries/accounts';
import { factTable } from '../../db/queries/factTables';
import type { FactTable } from '../../db/queries/factTables';
import { beginImport, ensurePartitions, makeStage, mergeStage } from '../../db/queries/importMerge';
import { noteKeptDays, readKeptDays } from '../../db/queries/keptDays';
import { resolvePlaces } from '../../db/queries/importPlaces';
import type { PlaceTexts } from '../../db/queries/importPlaces';
import { noteFirstDays, resolveTerms } from '../../db/queries/importTerms';
import { addUpWeeks } from '../../db/queries/weeks';
import { AgainDays } from './againDays';
import { DayHashes } from './dayHashes';
import { factDays } from './factDays';
import type { FactDays } from './factDays';
import { placeTexts } from './segmentWriter';
import type { Segment, SegmentRows } from './segmentWriter';

/** What became of the rows of a file. */
export interface ImportResult {
  kept: number;
  unchanged: number;
  refused: number;
  /** Sums of the refused, in the order of the kind's figures. */
  refusedSums: number[];
  /** The first of the refused, by line. */
  listed: { line: number; reason: string }[];
  firstDay: string | null;
  lastDay: string | null;
}

const MOST_LISTED = 10_000;
/** Segments that wait for the database while the next is read. */
const MOST_WAITING = 3;

/**
 * Takes the segments of a file into one transaction while the next one is still being read. Rows of days that had none
 * go straight into their table; rows of other days wait until it is known whether the file says anything new of them.
 */
export class StagedImport {
  private readonly tx: Transaction;
  private readonly accountId: number;
  private readonly spec: ReportSpec;
  private readonly whole: () => Promise<void>;
  private readonly table: FactTable;
  private under: Promise<void> = Promise.resolve();
  private readonly waiting: Promise<void>[] = [];
  private hasBegun = false;
  /** Our ids by the numbers of the file's places and terms. */
  private readonly placeIds: (number | null)[] = [];
  private readonly placeNames = new Map<number, string>();
  private readonly termIds: number[] = [];
  /** The first day on which a term was seen, by its number. */
  private readonly firstDays: number[] = [];
  /** Terms, by our id, of which the file tells an earlier day than was known. */
  private readonly earlier = new Map<number, number>();
  /** Days met so far: those without rows before this file, and the others. */
  private readonly fresh = new Set<number>();
  private readonly others = new Set<number>();
  /** What the kept rows of the file come to, by day; and those of days that have rows already. */
  private readonly hashes = new DayHashes();
  private readonly again: AgainDays;
  /** Days that an earlier segment wrote rows of: more of them could repeat those. */
  private readonly written = new Set<number>();
  /** Days of which a row was added or changed: their weeks are added up anew. */
  private readonly changed = new Set<number>();
  private readonly factDays: FactDays;
  private readonly result: ImportResult = {
    kept: 0,
    unchanged: 0,
    refused: 0,
    refusedSums: [],
    listed: [],
    firstDay: null,
    lastDay: null,
  };

  /** @param whole waits until the file is here as a whole; left out: it is */
  constructor(tx: Transaction, accountId: number, spec: ReportSpec, whole = () => Promise.resolve()) {
    this.tx = tx;
    this.accountId = accountId;
    this.spec = spec;
    this.whole = whole;
    this.table = factTable(spec.kind);
    this.result.refusedSums = spec.figures.map(() => 0);
    this.factDays = factDays(tx, accountId, spec.kind, this.table);
    this.again = new AgainDays(tx, accountId, spec.kind, this.table);
  }

  /** Our id of a place of the file; null where it has none. */
  placeId(number: number): number | null {
    return this.placeIds[number] ?? null;
  }

  /** Begins with a segment once those before it are done; returns while few wait. @throws what went wrong with one before */
  async put(segment: Segment): Promise<void> {
    if (this.waiting.length >= MOST_WAITING) await this.waiting.shift();
    this.under = this.under.then(() => this.take(segment));
    this.under.catch(() => {}); // told by a later call
    this.waiting.push(this.under);
  }

  /** Waits for the segment under way, however it ends: a transaction cannot be given up in the middle of a COPY. */
  async settle(): Promise<void> {
    await this.under.catch(() => {});
    await this.again.close();
  }

  /** Waits for the last segment. */
  async finish(): Promise<ImportResult> {
    await this.under;
    const passed = await this.again.merge(this.hashes, (rows, which) => this.merge(rows, which));
    this.result.unchanged += passed;
    await this.again.close();
    const { tx, accountId, spec } = this;
    await noteKeptDays(tx, accountId, spec.kind, this.hashes.ofAll(this.fresh));
    await this.addUp();
    if (this.result.kept + this.result.unchanged > 0) await raiseFigures(this.tx, this.accountId);
    // Ranks name terms too, but say nothing of when shoppers typed them.
    if (spec.keepsFirstDays) await noteFirstDays(tx, accountId, this.earlier);
    this.result.listed.sort((a, b) => a.line - b.line);
    return { ...this.result, ...(await this.factDays.finish(this.result.kept > 0)) };
  }

  private async take(segment: Segment): Promise<void> {
    const { tx, accountId, table } = this;
    if (!this.hasBegun) {
      // A sender that stalls must hold no lock that others wait for.
      await this.whole();
      await beginImport(tx, accountId);
      await makeStage(tx, table);
      this.hasBegun = true;
    }
    await this.resolve(segment);
    await this.meetDays(segment);
    const { fresh, merging, again } = this.sort(segment);
    await this.writeFresh(segment, this.withoutRepeats(segment, fresh));
    if (merging.length > 0) await this.merge(segment, merging);
    await this.again.put(segment, again);
    for (const day of segment.days) this.written.add(day);
    await this.addUp(mondayOf(dayFromNumber(smallest([...segment.days]))));
  }

  /**
   * Adds up the weeks of changed days before a day: while the file is still being read, those that it seems to be done with, for most come in the
   * order of their days. Rows that come later all the same have their week added up once more.
   */
  private async addUp(before?: string): Promise<void> {
    const done = [...this.changed].filter((day) => before === undefined || dayFromNumber(day) < before);
    await addUpWeeks(this.tx, this.accountId, this.table, done.map(dayFromNumber));
    for (const day of done) this.changed.delete(day);
  }

  private async resolve({ newPlaces, newTerms }: Segment) {
    const { tx, accountId, spec } = this;
    if (newPlaces.length > 0) {
      const named = newPlaces.map(({ texts }) => described(spec, texts));
      const ids = await resolvePlaces(tx, accountId, spec.place, named);
      newPlaces.forEach(({ number }, at) => {
        this.placeIds[number] = ids[at];
        if (ids[at] === null) this.placeNames.set(number, nameOf(named[at]));
      });
    }
    if (newTerms.length > 0) {
      const { keepsFirstDays } = spec;
      const terms = await resolveTerms(
        tx,
        accountId,
        newTerms.map(({ text, day }) => ({ text, day: keepsFirstDays ? day : null })),
      );
      newTerms.forEach(({ number }, at) => {
        const { id, firstDay } = terms[at];
        this.termIds[number] = id;
        this.firstDays[number] = firstDay ?? Infinity;
      });
    }
  }

  private async meetDays({ days, spans }: Segment) {
    const news = [...days].filter((day) => !this.fresh.has(day) && !this.others.has(day));
    if (news.length === 0) return;
    const names = news.map(dayFromNumber);
    await ensurePartitions(this.tx, this.table, names);
    for (const day of news) await this.factDays.meet(dayFromNumber(day), spans.get(day) ?? null);
    const kept = await readKeptDays(this.tx, this.accountId, this.spec.kind, names);
    for (const day of news) {
      const known = kept.get(dayFromNumber(day));
      (known === undefined ? this.fresh : this.others).add(day);
      if (known !== undefined) this.again.meet(day, known);
    }
  }

  /** Parts the rows by what has to be done with them; those without a place are refused. Replaces numbers by our ids. */
  private sort(segment: Segment): { fresh: number[]; merging: number[]; again: number[] } {
    const fresh: number[] = [];
    const again: number[] = [];
    const merging: number[] = [];
    const hasTerms = this.spec.detail === 'term';
    for (let row = 0; row < segment.rows; row += 1) {
      const number = segment.place[row];
      const id = this.placeIds[number];
      if (id === null) {
        this.refuse(
          segment,
          row,
          `“${this.placeNames.get(number)}” means several campaigns or ad groups of this account, or its ids belong elsewhere. Fetch the report with ids.`,
        );
        continue;
      }
      segment.place[row] = id;
      const day = segment.day[row];
      if (hasTerms) {
        const term = segment.detail[row];
        const termId = this.termIds[term];
        segment.detail[row] = termId;
        if (day < this.firstDays[term]) {
          this.firstDays[term] = day;
          this.earlier.set(termId, Math.min(day, this.earlier.get(termId) ?? Infinity));
        }
      }
      this.hashes.add(segment, row);
      (!this.fresh.has(day) ? again : this.written.has(day) ? merging : fresh).push(row);
    }
    return { fresh, merging, again };
  }

  private refuse({ line, figures }: SegmentRows, row: number, reason: string) {
    const { result } = this;
    result.refused += 1;
    figures.forEach((column, at) => (result.refusedSums[at] += column[row]));
    if (result.listed.length < MOST_LISTED) result.listed.push({ line: line[row], reason });
  }

  /** Puts rows in the order of their key, and refuses those that repeat an earlier one. */
  private withoutRepeats(segment: Segment, rows: number[]): number[] {
    const { day, place, detail } = segment;
    rows.sort((a, b) => day[a] - day[b] || place[a] - place[b] || detail[a] - detail[b]);
    return rows.filter((row, at) => {
      const before = rows[at - 1];
      const isRepeat =
        at > 0 && day[row] === day[before] && place[row] === place[before] && detail[row] === detail[before];
      if (isRepeat) this.refuseRepeat(segment, row);
      return !isRepeat;
    });
  }

  /** Copies rows straight into their table. */
  private async writeFresh(segment: Segment, rows: number[]) {
    if (rows.length === 0) return;
    const account: CopyColumn = { name: 'account_id', type: 'int4', values: this.accountId };
    await copyNumbers(this.tx, this.table.table, [account, ...this.columns(segment)], rows);
    this.result.kept += rows.length;
    for (const row of rows) this.changed.add(segment.day[row]);
  }

  private refuseRepeat(segment: SegmentRows, row: number) {
    this.hashes.take(segment, row);
    this.refuse(segment, row, `The row repeats an earlier one: same day, ${this.spec.keyWords}.`);
  }

  private async merge(segment: SegmentRows, rows: number[]) {
    const line: CopyColumn = { name: 'line', type: 'int4', values: segment.line };
    await copyNumbers(this.tx, 'stage', [line, ...this.columns(segment)], rows);
    const firstSeen = [...this.fresh].map(dayFromNumber);
    const { kept, unchanged, repeated } = await mergeStage(this.tx, this.accountId, this.table, firstSeen);
    this.result.kept += kept;
    this.result.unchanged += unchanged;
    if (kept > 0) for (const row of rows) this.changed.add(segment.day[row]);
    if (repeated.length === 0) return;
    const rowOf = new Map(rows.map((row) => [segment.line[row], row]));
    for (const at of repeated) this.refuseRepeat(segment, rowOf.get(at)!);
  }

  private columns(segment: SegmentRows): CopyColumn[] {
    const { place, detail, figures } = this.table;
    return [
      { name: 'day', type: 'day', values: segment.day },
      { name: place, type: 'int4', values: segment.place },
      ...(detail === null ? [] : [{ name: detail, type: 'int4' as const, values: segment.detail }]),
      ...figures.map(({ column, type }, at) => ({ name: column, type, values: segment.figures[at] })),
    ];
  }
}

function described(spec: ReportSpec, texts: string[]): PlaceTexts {
  const place = placeTexts(spec, texts);
  if (spec.place !== 'target') return place;
  const { kind, match, expression } = classifyTarget(place.target ?? '', place.match ?? '');
  return { ...place, kind, match: match ?? '', expression };
}

const nameOf = ({ campaign, campaignId, adGroup, adGroupId }: PlaceTexts) =>
  [campaign || campaignId, adGroup || adGroupId].filter(Boolean).join(' › ');
