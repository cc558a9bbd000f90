/** A row as it lies in the picture. */
export interface Dot {
  row: number;
  x: number;
  y: number;
  /** Ends of the whisker. */
  x0: number;
  x1: number;
  radius: number;
  isOver: boolean;
  isThin: boolean;
}
