import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { EffectInfo } from '../../../contract/effects';
import { counted, formatCount, formatDay, formatShare } from '../../../core/units';
import { standingApi } from '../standingApi';

/** What the changes of a rule did together so far, against targets like theirs that nothing was done to. */
export function SoFar({ account, rule }: { account: AccountInfo; rule: number }) {
  const { data } = useQuery({
    queryKey: ['rule-effect', account.id, account.revision, rule],
    queryFn: () => standingApi.effect(account.id, rule),
  });
  if (!data?.effect) return null;
  return (
    <p className="sentence">
      So far: {soFarWords(data.effect)} Orders are complete to {formatDay(data.settledThrough)}.
    </p>
  );
}

function soFarWords({ spend, sales, acos, measured, waiting, readyOn }: EffectInfo): string {
  const moved = [
    ['spend', spend],
    ['sales', sales],
    ['ACOS', acos],
  ] as const;
  const known = moved.flatMap(([name, one]) =>
    one ? [`${name} ${signed(one.change)} (${signed(one.low)} to ${signed(one.high)})`] : [],
  );
  if (known.length === 0)
    return readyOn === null
      ? `nothing can be told of ${counted(measured + waiting, 'changed target')} yet.`
      : `a first answer can be given on ${formatDay(readyOn)}.`;
  return `${known.join(', ')} on ${counted(measured, 'target')}${waiting > 0 ? `, ${formatCount(waiting)} more wait` : ''}.`;
}

const signed = (share: number) => `${share < 0 ? '−' : '+'}${formatShare(Math.abs(share), 0)}`;
