/** A column of numbers, however it lies in memory. */
export type Numbers = ArrayLike<number>;
