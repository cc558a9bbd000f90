const startedAt = Date.now();

/** Prints one line of progress with the seconds since the start. */
export function say(text) {
  process.stdout.write(`${((Date.now() - startedAt) / 1000).toFixed(1).padStart(6)} s  ${text}\n`);
}

/** Prints what went wrong and ends the program with exit code 1. */
export function fail(error) {
  process.stderr.write(`\nMowing could not start: ${error instanceof Error ? error.message : error}\n`);
  process.exit(1);
}
