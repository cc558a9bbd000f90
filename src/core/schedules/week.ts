/** Hours of a week: weekday x 24 + hour, weekday 0 Monday. */
export const WEEK_HOURS = 168;
const DAY_HOURS = 24;
/** Whole percents by which bids may change in an hour; the least is off. */
export const [OFF, MOST_RAISE] = [-100, 900];

/** By how much bids change in each hour of the week, whole percents; -100: off, 0: as they are. */
export type Week = readonly number[];

/** A week in which nothing changes. */
export const PLAIN_WEEK: Week = new Array<number>(WEEK_HOURS).fill(0);

/** A week as it is kept and compared: runs of hours as "percent*hours", "0*120 -20*48". Equal weeks have equal texts. */
export function weekText(week: Week): string {
  const runs: [percent: number, hours: number][] = [];
  for (const percent of week) {
    const last = runs.at(-1);
    if (last && last[0] === percent) last[1] += 1;
    else runs.push([percent, 1]);
  }
  return runs.map(([percent, hours]) => `${percent}*${hours}`).join(' ');
}

/** The week that a text tells; null for one that is none: other than 168 hours, or a percentage out of -100 to 900. */
export function readWeek(text: string): Week | null {
  const week: number[] = [];
  for (const run of text.split(' ')) {
    const [, percent, hours] = /^(-?\d{1,3})\*(\d{1,3})$/.exec(run) ?? [];
    if (percent === undefined || week.length + Number(hours) > WEEK_HOURS) return null;
    for (let hour = 0; hour < Number(hours); hour += 1) week.push(Number(percent));
  }
  return isWeek(week) && weekText(week) === text ? week : null;
}

/** Whether it is a week: 168 whole percents of -100 to 900. */
export const isWeek = (week: unknown): week is Week =>
  Array.isArray(week) &&
  week.length === WEEK_HOURS &&
  week.every((one) => Number.isInteger(one) && one >= OFF && one <= MOST_RAISE && !Object.is(one, -0));

export const DAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** A percentage by which bids change, in words. */
export const percentWords = (percent: number): string =>
  percent === OFF ? 'off' : percent === 0 ? 'as is' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;

/** Hours of some weekdays with one percentage. */
interface Stretch {
  percent: number;
  from: number;
  to: number;
  days: number[];
}

const MOST_WORDS = 4;

/** What a week does, in words: "Sat–Sun 0–24 h −20 %"; of many stretches how many, and from what to what. */
export function weekWords(week: Week): string {
  const stretches = new Map<string, Stretch>();
  for (let day = 0; day < DAY_NAMES.length; day += 1)
    for (let hour = 0; hour < DAY_HOURS;) {
      const percent = week[day * DAY_HOURS + hour];
      const from = hour;
      while (hour < DAY_HOURS && week[day * DAY_HOURS + hour] === percent) hour += 1;
      if (percent === 0) continue;
      const key = `${from} ${hour} ${percent}`;
      const known = stretches.get(key);
      if (known) known.days.push(day);
      else stretches.set(key, { percent, from, to: hour, days: [day] });
    }
  const list = [...stretches.values()];
  if (list.length === 0) return 'no hour changed';
  if (list.length <= MOST_WORDS)
    return list
      .map(({ percent, from, to, days }) => `${dayWords(days)} ${from}–${to} h ${percentWords(percent)}`)
      .join(', ');
  const [low, high] = list.reduce(
    ([a, b], { percent }) => [Math.min(a, percent), Math.max(b, percent)],
    [Infinity, -Infinity],
  );
  return `${list.length} stretches from ${percentWords(low)} to ${percentWords(high)}`;
}

/** Weekdays in words, those beside one another as a span. */
function dayWords(days: readonly number[]): string {
  const spans: number[][] = [];
  for (const day of days) {
    const last = spans.at(-1);
    if (last && last.at(-1) === day - 1) last.push(day);
    else spans.push([day]);
  }
  return spans
    .map((span) =>
      span.length === 1 ? DAY_NAMES[span[0]] : `${DAY_NAMES[span[0]]}–${DAY_NAMES[span.at(-1)!]}`,
    )
    .join(', ');
}
