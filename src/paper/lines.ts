import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { ReportBlock } from '../contract/report';
import { addDays, formatDay } from '../core/units';
import { largest, smallest } from '../core/order';
import { cellText, escaped } from './cells';

const [WIDTH, HEIGHT] = [680, 170];
const MARGIN = { top: 12, right: 64, bottom: 22, left: 64 };
/** Told apart without colour, on a grey printer too. */
const DASHES = ['', '6 3', '2 3'];
const LABEL_DAYS = 7;

/** Up to three measures by day as a drawing of lines: each on its own scale, readable in grey. */
export function linesSvg({ name, from, series }: Extract<ReportBlock, { kind: 'lines' }>): string {
  const days = series[0]?.values.length ?? 0;
  if (days < 2) return '';
  const x = scaleLinear([0, days - 1], [MARGIN.left, WIDTH - MARGIN.right]);
  const bottom = HEIGHT - MARGIN.bottom;
  const drawn = series.map(({ label, unit, values }, index) => {
    const known = values.filter((value) => value !== null);
    const ends = unit === 'rank' ? [MARGIN.top, bottom] : [bottom, MARGIN.top];
    const low = unit === 'rank' ? 1 : Math.min(0, smallest(known));
    const y = scaleLinear([low, Math.max(low + 1e-9, largest(known))], ends);
    if (unit !== 'rank') y.nice(3);
    const path =
      line<number | null>()
        .defined((value) => value !== null)
        .x((_, at) => x(at))
        .y((value) => y(value!))(values) ?? '';
    const ticks = known.length === 0 ? [] : y.ticks(3);
    const side = index === 0 ? MARGIN.left - 6 : WIDTH - MARGIN.right + 6;
    const axis =
      index > 1
        ? ''
        : ticks
            .map(
              (value) =>
                `<text x="${side}" y="${(y(value) + 3.5).toFixed(1)}" text-anchor="${index === 0 ? 'end' : 'start'}">${escaped(cellText(unit, value))}</text>` +
                (index === 0
                  ? `<line x1="${MARGIN.left}" x2="${WIDTH - MARGIN.right}" y1="${y(value).toFixed(1)}" y2="${y(value).toFixed(1)}" class="rule"/>`
                  : ''),
            )
            .join('');
    return { label, svg: `${axis}<path d="${path}" class="line" stroke-dasharray="${DASHES[index]}"/>` };
  });
  const step = LABEL_DAYS * Math.ceil(days / (LABEL_DAYS * 9));
  const labels = Array.from({ length: Math.floor((days - 1) / step) + 1 }, (_, at) => at * step)
    .map(
      (day) =>
        `<text x="${x(day).toFixed(1)}" y="${HEIGHT - 6}" text-anchor="middle">${escaped(formatDay(addDays(from, day)))}</text>`,
    )
    .join('');
  const legend = drawn
    .map(
      ({ label }, index) =>
        `<span><svg width="26" height="8" aria-hidden="true"><line x1="0" x2="26" y1="4" y2="4" class="line" stroke-dasharray="${DASHES[index]}"/></svg> ${escaped(label)}${index === 0 ? ' (left)' : index === 1 ? ' (right)' : ''}</span>`,
    )
    .join(' ');
  return (
    `<figure><figcaption>${escaped(name)}</figcaption>` +
    `<svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" aria-label="${escaped(name)}">${drawn.map(({ svg }) => svg).join('')}${labels}</svg>` +
    `<p class="legend">${legend}</p></figure>`
  );
}
