import { describeChange, inDecimals, isMaking, setValueOf } from '../../core/changes';
import type { Change } from '../../core/changes';
import { microsToDecimal } from '../../core/units';
import type { ChangeFileFormat, ChangeInfo } from '../../contract/changes';
import { csvLine, writeWorkbook, XLSX_TYPE } from '../../connect/spreadsheet';
import { fileResponse } from '../http/fileResponse';
import { streamResponse } from '../http/streamResponse';

const FIELDS = [
  'change',
  'state',
  'what',
  'campaign',
  'ad group',
  'kind',
  'match',
  'text',
  'bid',
  'from',
  'to',
  'after change',
  'reason',
  'answer',
];

function fields(info: ChangeInfo): (string | number)[] {
  const { change } = info;
  const plain = inDecimals(change);
  const text = 'expression' in change ? change.expression : (info.subject ?? '');
  return [
    info.id,
    info.state,
    describeChange(change),
    info.campaign,
    info.adGroup ?? '',
    change.kind,
    'match' in change ? change.match : '',
    text,
    addedValue(change),
    valueText(plain.from),
    valueText(plain.to),
    info.afterId ?? '',
    info.reason,
    info.answer ?? '',
  ];
}

/** What something new starts with, a decimal: a target's bid, an ad group's default bid, a campaign's budget. Empty for other changes. */
function addedValue(change: Change): string {
  const value = isMaking(change) ? setValueOf(change) : null;
  return value === null ? '' : microsToDecimal(value.to);
}

/** A value before or after, as files write it: money as a decimal, a modifier as a share. */
const valueText = (value: unknown): string => (value === null || value === undefined ? '' : String(value));

/** Changes as a CSV file for a spreadsheet. */
export function changesCsv(changes: ChangeInfo[]): string {
  return [FIELDS, ...changes.map(fields)].map(csvLine).join('');
}

const NUMBERS = ['change', 'bid', 'from', 'to', 'after change'];

/** Changes as a workbook: values as numbers, so that a spreadsheet can calculate with them. */
function changesWorkbook(changes: ChangeInfo[]): AsyncIterable<Uint8Array> {
  async function* rows() {
    for (const change of changes)
      yield fields(change).map((cell, at) =>
        NUMBERS.includes(FIELDS[at]) && cell !== '' && Number.isFinite(Number(cell)) ? Number(cell) : cell,
      );
  }
  return writeWorkbook('Changes', FIELDS, rows());
}

/** Changes as a JSON file for a program; money as decimal strings. */
export function changesJson(changes: ChangeInfo[]): string {
  const list = changes.map(({ id, state, change, campaign, adGroup, afterId, reason, answer }) => ({
    id,
    state,
    campaign,
    adGroup,
    ...told(change),
    afterId,
    reason,
    answer,
  }));
  return `${JSON.stringify({ changes: list }, null, 2)}\n`;
}

/** A change's own fields: what something new starts with stands under `bid` whatever it is called. */
function told(change: Change): Record<string, unknown> {
  const { from, to, ...rest } = inDecimals(change);
  const bid = addedValue(change);
  return {
    ...rest,
    ...(bid === '' ? {} : { bid }),
    ...(to === undefined ? {} : { from: valueText(from), to: valueText(to) }),
  };
}

/** Changes as a file to be saved. @param name without its ending */
export function changeFile(changes: ChangeInfo[], format: ChangeFileFormat, name: string): Response {
  switch (format) {
    case 'xlsx':
      return streamResponse({ name: `${name}.xlsx`, type: XLSX_TYPE, body: changesWorkbook(changes) });
    case 'csv':
      return fileResponse(changesCsv(changes), `${name}.csv`, 'text/csv');
    case 'json':
      return fileResponse(changesJson(changes), `${name}.json`, 'application/json');
  }
}
