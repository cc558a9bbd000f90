// npm run bench: prints ratios of Mowing's work to a floor measured in the same run.
import { closeContext, db } from '../../src/server/context/context';
import { benchBids } from './bids';
import { benchField } from './field';
import { benchFirstView } from './firstView';
import { benchImport } from './import';
import { benchRound } from './round';
import { benchSums } from './sums';
import { benchWords } from './words';

process.env.MOWING_LOG ??= 'silent';
try {
  await benchImport(Number(process.env.MOWING_BENCH_ROWS ?? 1_000_000));
  await benchSums((account) => benchField(process.env.MOWING_URL!, account));
  await benchRound(process.env.MOWING_URL!);
  benchBids();
  benchWords();
  benchFirstView();
  await db()`vacuum`;
} finally {
  await closeContext();
}
