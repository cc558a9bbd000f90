import type { AccountInfo } from '../../../contract/api';
import { useRulesOf } from '../standing/useRulesOf';
import { WarningLine } from './WarningLine';

/** Rules that stopped themselves are told on every page. */
export function RulesWarning({ account }: { account: AccountInfo | undefined }) {
  const { data } = useRulesOf(account);
  const stopped = (data?.rules ?? []).filter(({ stoppedWhy }) => stoppedWhy !== null);
  // Several stop for the same reason.
  const reasons = [...new Set(stopped.map(({ stoppedWhy }) => stoppedWhy))];
  const told = reasons.map(
    (why) =>
      `${stopped.flatMap((one) => (one.stoppedWhy === why ? [`“${one.rule.name}”`] : [])).join(', ')} stopped by itself. ${why}`,
  );
  return <WarningLine key={account?.id} told={told.join(' ')} />;
}
