/** Heights of the graph, pixels. */
export const NODE = 40;
export const MIDDLE = 240;

/** A line from the middle of a source's row to that of a home, as an SVG path. */
export function linkPath(source: number, home: number): string {
  const [from, to] = [centre(source), centre(home)];
  return `M 0 ${from} C ${MIDDLE * 0.45} ${from}, ${MIDDLE * 0.55} ${to}, ${MIDDLE} ${to}`;
}

export const centre = (row: number): number => row * NODE + NODE / 2;
