/** An hour of the week, a weekday or an hour of the day. */
export interface GridCell {
  /** Null: there is nothing to tell. */
  value: number | null;
  /** The figure as it is shown in it. */
  text: string;
  /** How far it stands out: -1 to 1 about the middle of the scale. */
  tone: number;
  /** Whether it is surely off the middle: what is not is hatched and has no colour. */
  isSure: boolean;
}

/** A weekday or hour alone, with its 80 % interval where it has one. */
export interface GridMargin {
  value: number | null;
  low?: number;
  high?: number;
  text: string;
}
