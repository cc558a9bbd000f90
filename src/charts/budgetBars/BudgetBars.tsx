import { useState } from 'react';
import type { PointerEvent } from 'react';

interface BudgetBarsProps {
  /** Micros a day. */
  from: number;
  to: number;
  /** What its clicks cost now, and at the bids of the plan. */
  spend: number;
  demand: number;
  /** What it needs so as to be stopped seldom. */
  need: number;
  /** The full width stands for so much. */
  most: number;
  words: string;
  /** The lower bar is dragged to another budget; left out: it stays. Micros. */
  onSet?: (budget: number) => void;
}

const WIDTH = 96;
const BAR = 7;

/** A budget before and after, one below the other: filled as far as it is spent, a mark where the need ends; what is wanted beyond it is hatched. */
export function BudgetBars({ from, to, spend, demand, need, most, words, onSet }: BudgetBarsProps) {
  const [dragged, setDragged] = useState<number | null>(null);
  const x = (micros: number) =>
    Math.min(WIDTH, (Math.sqrt(Math.max(0, micros)) / Math.sqrt(most || 1)) * WIDTH);
  const bars = [
    { budget: from, wanted: spend, y: 2 },
    { budget: dragged ?? to, wanted: demand, y: 13 },
  ];
  /** The budget under the pointer: widths go by the root. */
  const under = ({ clientX, currentTarget }: PointerEvent<SVGSVGElement>) => {
    const share = (clientX - currentTarget.getBoundingClientRect().left) / WIDTH;
    return Math.min(1, Math.max(0, share)) ** 2 * most;
  };
  return (
    <svg
      width={WIDTH}
      height={22}
      role="img"
      aria-label={words}
      style={{ display: 'block', cursor: onSet ? 'ew-resize' : undefined, touchAction: 'none' }}
      onPointerDown={
        onSet &&
        ((event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setDragged(under(event));
        })
      }
      onPointerMove={(event) => dragged !== null && setDragged(under(event))}
      onPointerUp={(event) => {
        if (dragged === null) return;
        setDragged(null);
        onSet?.(under(event));
      }}
      onPointerCancel={() => setDragged(null)}
    >
      <title>{words}</title>
      {bars.map(({ budget, wanted, y }) => (
        <g key={y}>
          <rect
            x={0}
            y={y}
            width={x(Math.min(wanted, budget))}
            height={BAR}
            fill="var(--under)"
            opacity={0.55}
          />
          {wanted > budget && (
            <rect
              x={x(budget)}
              y={y + 2}
              width={Math.max(0, x(wanted) - x(budget))}
              height={BAR - 4}
              fill="var(--over)"
              opacity={0.7}
            />
          )}
          <rect
            x={0.5}
            y={y + 0.5}
            width={Math.max(1, x(budget) - 1)}
            height={BAR - 1}
            fill="none"
            stroke="var(--ink)"
            strokeOpacity={0.55}
          />
        </g>
      ))}
      <line x1={x(need)} x2={x(need)} y1={11} y2={22} stroke="var(--ink)" strokeWidth={1.5} />
    </svg>
  );
}
