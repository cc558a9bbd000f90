/** Room around the picture for its axes, pixels. */
export const MARGIN = { top: 22, right: 16, bottom: 32, left: 48 };
