/** So long one thing is worked on before others have their turn, ms. */
const SLICE_MS = 10;
/** The clock is looked at once in so many. */
const STRETCH = 200;

/** Does work for each of so many, one after the other, and lets requests be answered in between. */
export async function inSlices(count: number, work: (at: number) => void): Promise<void> {
  let began = performance.now();
  for (let at = 0; at < count; at += 1) {
    work(at);
    if (at % STRETCH !== 0 || performance.now() - began < SLICE_MS) continue;
    await new Promise((resolve) => setImmediate(resolve));
    began = performance.now();
  }
}
