import type { EffectInfo } from '../../../contract/effects';
import { CHANGE_PURPOSES } from '../../../core/changes';
import { formatFullDay, formatShare } from '../../../core/units';
import { loadPurposeEffects } from '../../effects/loadEffects';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

/** What changes of the last half year did, against what like targets did without them, with intervals. */
export const effects: MakePart = async ({ account }) => {
  const { purposes, settledThrough } = await loadPurposeEffects(account.id);
  return [
    text(
      `What each sort of change did since it was sent, up to ${formatFullDay(settledThrough)}, against like targets that were left alone. Expected is what was said of ad sales a month before they were sent; in brackets the range that holds the truth in four of five cases.`,
    ),
    tableOr(
      'No change was made in the last half year.',
      'Effects by sort of change',
      columns(
        ['Sort'],
        ['Changes', 'count'],
        ['Sales expected', 'money'],
        ['Spend', 'count'],
        ['Ad sales', 'count'],
        ['ACOS', 'count'],
        ['Verdict'],
      ),
      purposes.map(({ purpose, changes, expected, effect }) => [
        CHANGE_PURPOSES[purpose],
        changes,
        expected.sales,
        moved(effect.spend),
        moved(effect.sales),
        moved(effect.acos),
        verdictOf(effect),
      ]),
    ),
  ];
};

const moved = (one: EffectInfo['spend']): string | null =>
  one === null ? null : `${signed(one.change)} (${signed(one.low)} to ${signed(one.high)})`;
const signed = (share: number) =>
  `${share > 0 ? '+' : share < 0 ? '−' : ''}${formatShare(Math.abs(share), 0)}`;

const verdictOf = ({ verdict, readyOn }: EffectInfo): string =>
  verdict === 'too early' && readyOn !== null ? `too early, until ${formatFullDay(readyOn)}` : verdict;
