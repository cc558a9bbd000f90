import { closeContext } from '../context/context';

/** Runs a program of the command line to its end: what goes wrong is told in a sentence. @param main may give the code that it ends with */
export async function asProgram(main: () => Promise<number | void>): Promise<void> {
  try {
    process.exitCode = (await main()) ?? 0;
  } catch (error) {
    process.stderr.write(`${(error as Error).message}\n`);
    process.exitCode = 1;
  } finally {
    await closeContext();
  }
}
