/** How a step's parts stand one below the other. */
export const STEP_GRID = {
  display: 'grid',
  gridTemplate: 'auto auto auto minmax(0, 1fr) / minmax(0, 1fr)',
  minHeight: 0,
  overflow: 'hidden',
} as const;
