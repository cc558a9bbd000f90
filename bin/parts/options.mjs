// Command line and environment of the starters. Plain Node: this runs before any package is installed.
import { parseArgs } from 'node:util';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..', '..');

/**
 * Reads --demo, --fresh, --size, --port, --data-dir (or MOWING_PORT, MOWING_DATA_DIR, DATABASE_URL).
 * @returns {{demo: boolean, fresh: boolean, size: string, port: number, dataDir: string, databaseUrl: string | undefined}}
 * @throws a sentence for an unknown option or a port outside 1-65535.
 */
export function readOptions(args = process.argv.slice(2), env = process.env) {
  const { values } = parseArgs({
    args,
    options: {
      demo: { type: 'boolean', default: false },
      fresh: { type: 'boolean', default: false },
      port: { type: 'string' },
      'data-dir': { type: 'string' },
      size: { type: 'string', default: 'demo' },
    },
  });
  const port = Number(values.port ?? env.MOWING_PORT ?? 4321);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(
      `"${values.port ?? env.MOWING_PORT}" is not a port; give a whole number from 1 to 65535.`,
    );
  return {
    demo: values.demo,
    fresh: values.fresh,
    size: values.size,
    port,
    dataDir: path.resolve(root, values['data-dir'] ?? env.MOWING_DATA_DIR ?? '.data'),
    databaseUrl: env.DATABASE_URL || undefined,
  };
}
