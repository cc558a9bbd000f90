// A program that was started by a starter ends with it, also when that was killed before the program had opened.

let isGone = process.send !== undefined && !process.connected;
let tell = () => {};

process.once('disconnect', () => {
  isGone = true;
  tell();
});

/** Calls `stop` when the starter is gone, at once when it is already. */
export function whenStarterIsGone(stop: () => void): void {
  tell = stop;
  if (isGone) stop();
}
