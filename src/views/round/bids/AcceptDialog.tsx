import { formatCount } from '../../../core/units';
import { Ask } from '../../shared/kit';
import type { BidSummary } from '../../../plans/bids';
import { summaryWords } from '../../../plans/bids';

interface AcceptDialogProps {
  summary: BidSummary;
  currency: string;
  onDone: (isWanted: boolean) => void;
}

/** What accepting many proposals at once comes to, before it is done. */
export function AcceptDialog({ summary, currency, onDone }: AcceptDialogProps) {
  const { does, brings } = summaryWords(summary, currency);
  return (
    <Ask
      title={`Accept ${formatCount(summary.count)} ${summary.count === 1 ? 'proposal' : 'proposals'}?`}
      does={`Accept ${formatCount(summary.count)}`}
      isOff={summary.count === 0}
      onDone={onDone}
    >
      <p className="line">{does || 'Nothing would change.'}.</p>
      {summary.count > 0 && <p className="line">Expected: {brings}.</p>}
      <p className="note">They go to the tray; nothing is sent yet, and u takes them back.</p>
    </Ask>
  );
}
