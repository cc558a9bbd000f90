import type { Dot } from './dots';
import type { CutLineLayout } from './layout';

/**
 * Paints the dots: full above and below the line in their colours, hollow with a whisker where evidence is thin. Where there are too many,
 * marks of the same two shapes tell by size and depth how many lie there.
 */
export function paintDots(
  canvas: HTMLCanvasElement,
  { dots, alone, swarms }: Pick<CutLineLayout, 'dots' | 'alone' | 'swarms'>,
  { width, height, focusedRow }: { width: number; height: number; focusedRow: number | null },
): void {
  const ratio = devicePixelRatio;
  canvas.width = Math.round(width * ratio);
  canvas.height = Math.round(height * ratio);
  const pen = canvas.getContext('2d')!;
  pen.scale(ratio, ratio);
  const styles = getComputedStyle(document.documentElement);
  const colour = (name: string) => styles.getPropertyValue(`--${name}`).trim();
  const [over, under, ink] = [colour('over'), colour('under'), colour('ink')];
  // Whiskers of hundreds of rows would hide the dots; beyond that only the focused one has its own.
  const withWhiskers = swarms.length === 0 && dots.count <= 150;
  for (const swarm of swarms) {
    pen.fillStyle = swarm.isOver ? over : under;
    pen.globalAlpha = 0.25 + 0.6 * swarm.weight;
    mark(pen, swarm);
    pen.fill();
  }
  for (const dot of alone) {
    pen.strokeStyle = pen.fillStyle = dot.isOver ? over : under;
    if (withWhiskers && dot.isThin) whisker(pen, dot, 0.35);
    pen.globalAlpha = dot.isThin ? 0.9 : 0.55;
    mark(pen, dot);
    if (dot.isThin) pen.stroke();
    else pen.fill();
  }
  const focused = focusedRow === null ? undefined : dots.of(focusedRow);
  if (!focused) return;
  pen.strokeStyle = ink;
  whisker(pen, focused, 1);
  pen.globalAlpha = 1;
  pen.lineWidth = 2;
  pen.beginPath();
  pen.arc(focused.x, focused.y, focused.radius + 3, 0, 2 * Math.PI);
  pen.stroke();
}

/** Over the line stands a triangle on its base, under it a round dot: told apart without colour. */
function mark(
  pen: CanvasRenderingContext2D,
  { x, y, radius, isOver }: Pick<Dot, 'x' | 'y' | 'radius' | 'isOver'>,
) {
  pen.lineWidth = 1;
  pen.beginPath();
  if (!isOver) return pen.arc(x, y, radius, 0, 2 * Math.PI);
  const side = radius * 1.25;
  pen.moveTo(x, y - side);
  pen.lineTo(x + side, y + side * 0.8);
  pen.lineTo(x - side, y + side * 0.8);
  pen.closePath();
}

function whisker(pen: CanvasRenderingContext2D, dot: Dot, alpha: number) {
  pen.globalAlpha = alpha;
  pen.lineWidth = 1;
  pen.beginPath();
  pen.moveTo(dot.x0, dot.y);
  pen.lineTo(dot.x1, dot.y);
  pen.stroke();
}
