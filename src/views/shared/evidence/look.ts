/** Width of what is drawn in the evidence panel, and how its parts are headed. */
export const EVIDENCE_WIDTH = 308;
export const EVIDENCE_HEADING = { margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 } as const;
