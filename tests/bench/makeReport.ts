import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { addDays } from '../../src/core/units';
import { Stream } from '../../src/market/sim/chance/stream';

/** Writes a made-up search-term report with ids: `rows` rows over 90 days, 2,000 targets, heavy-tailed terms. */
export async function makeReport(file: string, rows: number, seed = 1): Promise<void> {
  const random = new Stream(seed);
  const out = createWriteStream(file);
  out.write(
    'Date,Campaign ID,Campaign,Ad group ID,Ad group,Target ID,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Units,Sales,Currency\n',
  );
  const perDay = Math.ceil(rows / 90);
  let text = '';
  for (let row = 0; row < rows; row += 1) {
    const inDay = row % perDay;
    const day = addDays('2026-08-01', Math.floor(row / perDay));
    const target = inDay % 2000;
    const campaign = Math.floor(target / 40);
    // Numbered by day, so that no day repeats a term on the same target.
    const term = `crock ${target % 50} number ${Math.floor(inDay / 2000) * 7 + (random.below(7) % 7)} of ${target}`;
    const impressions = 1 + random.below(300);
    const clicks = random.binomial(impressions, 0.02);
    const orders = random.binomial(clicks, 0.1);
    text += `${day},C${campaign},Campaign ${campaign},G${Math.floor(target / 8)},Ad group ${Math.floor(target / 8)},T${target},crock ${target},broad,${term},${impressions},${clicks},${(clicks * 0.43).toFixed(2)},${orders},${orders},${(orders * 18.9).toFixed(2)},EUR\n`;
    if (text.length > 1 << 20) {
      if (!out.write(text)) await once(out, 'drain');
      text = '';
    }
  }
  out.end(text);
  await once(out, 'finish');
}
