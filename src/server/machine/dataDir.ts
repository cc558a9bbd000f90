import { tmpdir } from 'node:os';
import path from 'node:path';

/** Where the application keeps files of its own: MOWING_DATA_DIR, or a folder among the temporary ones. */
export const dataDir = (): string => process.env.MOWING_DATA_DIR ?? path.join(tmpdir(), 'mowing');
