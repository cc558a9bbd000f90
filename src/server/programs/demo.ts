// Loads the demo's accounts from the stand-in market unless they are there; --fresh drops them first.
// --size large loads the large set instead.
import { parseArgs } from 'node:util';
import { deleteDemoAccounts, listLoadedDemos } from '../../db/queries/accounts';
import { closeContext, db } from '../context/context';
import { market } from '../market/market';
import { accountOfMarket } from '../market/openMarket';
import { syncAccount } from '../sync/syncAccount';
import { keepDemoCosts } from './demoCosts';
import { keepDemoWords } from './demoWords';

const SIZES: Record<string, string[]> = {
  demo: ['tarnbrook', 'hollin', 'fernhollow'],
  small: ['small'],
  large: ['large'],
};
const say = (text: string) => process.stdout.write(`          ${text}\n`);
const TELL_EVERY_MS = 5000;

process.env.MOWING_LOG ??= 'warn'; // progress is printed in words

/** Says something now and then. */
function sayer() {
  let saidAt = Date.now();
  return (text: () => string) => {
    if (Date.now() - saidAt < TELL_EVERY_MS) return;
    saidAt = Date.now();
    say(`  ${text()}`);
  };
}

async function play(key: string) {
  const played = sayer();
  await market().openScenario(key, (done, of) => played(() => `day ${done} of ${of} of “${key}” played`));
}

async function load(key: string) {
  const remote = (await market().accounts()).find((account) => account.id === key)!;
  say(`Loading ${remote.name} …`);
  const accountId = await accountOfMarket(remote, true);
  const synced = sayer();
  await syncAccount(accountId, market(), async ({ doing, done, total }) =>
    synced(() => `${Math.round((100 * done) / total)} %: ${doing}`),
  );
  await keepDemoCosts(accountId);
  await keepDemoWords(accountId, key);
}

try {
  const { values } = parseArgs({
    options: { fresh: { type: 'boolean' }, size: { type: 'string', default: 'demo' } },
  });
  const keys = SIZES[values.size];
  if (!keys) throw new Error(`There is no size “${values.size}”; choose ${Object.keys(SIZES).join(', ')}.`);
  if (values.fresh) {
    say('Dropping the demo data …');
    await deleteDemoAccounts(db());
    for (const key of keys) await market().dropScenario(key);
  }
  const loaded = await listLoadedDemos(db());
  const wanted = keys.filter((key) => !loaded.includes(key));
  if (wanted.length > 0)
    say(`The stand-in market plays the days of ${wanted.map((key) => `“${key}”`).join(', ')} …`);
  let playing = wanted.length > 0 ? play(wanted[0]) : undefined;
  for (const [at, key] of wanted.entries()) {
    await playing;
    // While one account is read the market plays the next.
    playing = at + 1 < wanted.length ? play(wanted[at + 1]) : undefined;
    playing?.catch(() => {}); // told where it is waited for
    await load(key);
  }
} finally {
  await closeContext();
}
