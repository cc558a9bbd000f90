import type { AccountInfo } from '../../contract/api';
import type { TrayState } from '../shared/tray/useTray';
import { BidStep } from './bids/BidStep';
import { useBidWork } from './bids/useBidWork';
import { OverviewStep } from './overview/OverviewStep';
import { Steps } from './Steps';
import { TermStep } from './terms/TermStep';
import type { ReviewState } from './terms/useReview';
import { useTermWork } from './terms/useTermWork';
import { useStepKeys } from './useStepKeys';
import { isBidStep } from '../../contract/review';
import type { RoundState } from './useRoundState';

interface RoundBodyProps {
  account: AccountInfo | undefined;
  error: Error | null;
  state: RoundState;
  loaded: ReviewState;
  tray: TrayState;
  onWindow: () => void;
}

/** The steps on the left, and the one that is chosen. */
export function RoundBody({ account, error: fault, state, loaded, tray, onWindow }: RoundBodyProps) {
  const terms = useTermWork(loaded, state, tray);
  const bids = useBidWork(account, state, tray);
  useStepKeys(state, onWindow);
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: state.isOverview ? '224px minmax(0, 1fr)' : '224px minmax(0, 1fr) 340px',
        minHeight: 0,
      }}
    >
      <Steps
        isOverview={state.isOverview}
        onOverview={state.setOverview}
        step={state.step}
        summaries={[...(bids.arranged?.steps ?? []), ...(terms.arranged?.steps ?? [])]}
        staged={{
          ...bids.staged,
          harvest: terms.staged('harvest'),
          negatives: terms.staged('negatives'),
        }}
        currency={account?.currency ?? ''}
        onStep={state.setStep}
      />
      {state.isOverview ? (
        <OverviewStep account={account} from={state.from} to={state.to} />
      ) : isBidStep(state.step) ? (
        <BidStep key={state.step} account={account} fault={fault} state={state} work={bids} />
      ) : (
        <TermStep account={account} fault={fault} state={state} work={terms} version={tray.changes.length} />
      )}
    </div>
  );
}
