import type { Week } from '../runTrial';

export const say = (text: string) => process.stdout.write(`${text}\n`);
export const money = (micros: number) => Math.round(micros / 1e6).toLocaleString('en-GB');
export const cell = (text: string, width = 10) => text.padStart(width);
export const share = (value: number | null) => (value === null ? '–' : `${(value * 100).toFixed(1)} %`);

/** Sums of weeks over all seeds. */
export function total(weeks: Pick<Week, 'spend' | 'sales' | 'profit'>[]) {
  const sum = (of: (week: Pick<Week, 'spend' | 'sales' | 'profit'>) => number) =>
    weeks.reduce((all, week) => all + of(week), 0);
  const [spend, sales] = [sum((week) => week.spend), sum((week) => week.sales)];
  return { spend, sales, acos: sales > 0 ? spend / sales : null, profit: sum((week) => week.profit) };
}

/** Sales less what they are short of for the spend at the target: overspending counts against it. */
export const scoreOf = ({ spend, sales }: { spend: number; sales: number }, target: number) =>
  sales - Math.max(0, spend / target - sales);
