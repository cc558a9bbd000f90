// npm run standing -- --account ID [--dry]: runs the night of an account's rules by hand, or tells what it would do.
import { parseArgs } from 'node:util';
import { describeChange } from '../../core/changes';
import { counted, formatMoney } from '../../core/units';
import { findAccount } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { LEFT } from '../../core/rules';
import { db } from '../context/context';
import { inMoneyOf } from '../context/ownMoney';
import { runNight } from '../standing/runNight';
import { asProgram } from './asProgram';

const USAGE = 'Use: npm run standing -- --account ID [--dry]';

async function main(): Promise<void> {
  process.env.MOWING_LOG = 'silent';
  const { values } = parseArgs({
    options: { account: { type: 'string' }, dry: { type: 'boolean', default: false } },
  });
  const account = await findAccount(db(), Number(values.account) || 0);
  if (!account) throw new Error(`${USAGE}. There is no account ${values.account ?? ''}.`);
  await inMoneyOf(account.id, () => tellNight(account, values.dry));
}

async function tellNight(account: AccountRow, isDry: boolean): Promise<void> {
  const { words, nights } = await runNight(account.id, { isDry });
  const say = (line: string) => process.stdout.write(`${line}\n`);
  say(isDry ? `Looked at only; nothing was changed. ${words}` : words);
  for (const { rule, goes, looked, made, spend, sales, leftOut } of nights) {
    say(
      `${rule.rule.name} (${rule.rule.sends ? 'sends by itself' : 'asks'}): looked at ${looked}, ${counted(made, 'change')}, spend ${formatMoney(spend)} and sales ${formatMoney(sales)} ${account.currency} a month`,
    );
    for (const { name, place, list, reason } of goes) {
      for (const { change } of list) say(`  ${name} (${place}): ${describeChange(change)}`);
      say(`    ${reason}`);
    }
    for (const { why, count, some, rules } of leftOut)
      say(
        `  left ${count}: ${LEFT[why]}${rules.length > 0 ? ` (${rules.join(', ')})` : ''}: ${some.join(', ')}`,
      );
  }
}

await asProgram(main);
