import { measure } from '../../core/measures';
import { formatCount, formatDay, formatMoney, formatShare } from '../../core/units';
import type { AccountInfo } from '../../contract/api';
import { countSeen, countWords } from '../shared/rowRequest';
import type { ArrangedRows, LoadedLens } from '../../plans/field';

interface FieldSentenceProps {
  arranged: ArrangedRows | null;
  loaded: LoadedLens;
  account: AccountInfo;
}

/** What the rows come to, in one sentence: what they spend for what, how they stand, what moved. */
export function FieldSentence({ arranged, loaded, account }: FieldSentenceProps) {
  const { table, before, isCut } = loaded;
  if (!arranged) return <p className="sentence">Looking …</p>;
  const { rows, now, before: old, standings } = arranged;
  const seen = countSeen(table, rows);
  const of = (name: string) => standings.find(({ standing }) => standing === name)!;
  const [earning, near, losing, early] = [of('earning'), of('near'), of('losing'), of('early')];
  const { currency } = account;
  return (
    <div>
      <p className="sentence">
        {countWords(table.lens, seen)} spent {formatMoney(now.spend)} {currency} for {formatMoney(now.sales)}{' '}
        of sales
        {now.sales > 0 && `, ACOS ${formatShare(measure('acos').of(now))}`}.
      </p>
      <p className="note">
        <span className="under">●</span> {formatCount(earning.count)} earn{' '}
        <b>
          {formatMoney(Math.max(0, -earning.loss))} {currency}
        </b>{' '}
        · ◐ {formatCount(near.count)} near it · <span className="over">▲</span> {formatCount(losing.count)}{' '}
        lose{' '}
        <b>
          {formatMoney(Math.max(0, losing.loss))} {currency}
        </b>{' '}
        against their target · ○ {formatCount(early.count - (rows.length - seen))} too early to say,{' '}
        {formatMoney(early.spend)} {currency} spent · before ({formatDay(before.from)} –{' '}
        {formatDay(before.to)}):{' '}
        {before.isCovered
          ? `spend ${formatMoney(old.spend)} ${currency}, ACOS ${formatShare(measure('acos').of(old))}`
          : 'not compared, the data begin later'}
        {seen < rows.length &&
          ` · ${formatCount(rows.length - seen)} more were seen in the window before alone`}
        {isCut && ' · terms without a click are left out: there are too many'}
      </p>
    </div>
  );
}
