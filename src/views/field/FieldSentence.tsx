import { measure } from '../../core/measures';
import { formatCount, formatDay, formatMoney, formatShare } from '../../core/units';
import type { AccountInfo } from '../../contract/api';
import { countWords } from '../shared/rowRequest';
import type { ArrangedRows, LoadedLens } from '../../plans/field';

interface FieldSentenceProps {
  arranged: ArrangedRows | null;
  loaded: LoadedLens;
  account: AccountInfo;
}

/** What the rows come to, in one sentence: what they spend for what, how they stand, what moved. */
export function FieldSentence({ arranged, loaded, account }: FieldSentenceProps) {
  const { table, before, without } = loaded;
  if (!arranged) return <p className="sentence">Looking …</p>;
  const { rows, now, before: old, standings } = arranged;
  const of = (name: string) => standings.find(({ standing }) => standing === name)!;
  const [earning, losing, early] = [of('earning'), of('losing'), of('early')];
  return (
    <div>
      <p className="sentence">
        {countWords(table.lens, rows.length)} spent {formatMoney(now.spend)} {account.currency} for{' '}
        {formatMoney(now.sales)} of sales
        {now.sales > 0 && `, ACOS ${formatShare(measure('acos').of(now))}`}.
      </p>
      <p className="note">
        <span className="under">●</span> {formatCount(earning.count)} earn{' '}
        <b>{formatMoney(Math.max(0, -earning.loss))}</b> · <span className="over">▲</span>{' '}
        {formatCount(losing.count)} lose <b>{formatMoney(Math.max(0, losing.loss))}</b> against their target ·
        ○ {formatCount(early.count)} too early to say, {formatMoney(early.spend)} spent · before (
        {formatDay(before.from)} – {formatDay(before.to)}): spend {formatMoney(old.spend)}, ACOS{' '}
        {formatShare(measure('acos').of(old))}
        {without.rows > 0 && ` · ${formatCount(without.rows)} terms without a click are left out`}
      </p>
    </div>
  );
}
