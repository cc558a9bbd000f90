import { BaseSequencer } from 'vitest/node';
import type { TestSpecification } from 'vitest/node';

/** Files that take longest, the longest first: begun last, one of them would run on alone. */
const SLOW = [
  'tests/db/growth.test.ts',
  'tests/db/faultySends.test.ts',
  'tests/db/upload.test.ts',
  'tests/db/standing.test.ts',
  'src/trial/trial.test.ts',
  'tests/db/schedules.test.ts',
  'tests/db/sync.test.ts',
  'tests/db/budgets.test.ts',
  'tests/start/start.test.ts',
  'src/trial/played/played.test.ts',
  'src/trial/missed.test.ts',
  'tests/start/backup.test.ts',
];

/** Runs what takes longest first, and all else as usual. */
export class SlowFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const at = SLOW.findIndex((one) => moduleId.endsWith(one));
      return at < 0 ? SLOW.length : at;
    };
    return (await super.sort(files)).sort((a, b) => place(a) - place(b));
  }
}
