/** What became of the rows of a list. */
export interface TableResult {
  kept: number;
  unchanged: number;
  refused: { line: number; reason: string }[];
  /** What else came of it, as a sentence. */
  remark?: string;
}
