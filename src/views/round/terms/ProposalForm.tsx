import type { NewChange } from '../../../contract/changes';
import { changeKey, checkChange, describeChange } from '../../../core/changes';
import type { Change } from '../../../core/changes';
import { NEGATIVE_REACHES } from '../../../core/negatives';
import type { BlockReach } from '../../../core/negatives';
import { isExactTarget } from '../../../core/structure';
import { formatMoney, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import { NumberField } from '../../shared/NumberField';
import { adGroupName, campaignName } from './placeName';
import { reachWords } from './reachWords';
import { toChanges } from '../../../plans/terms';
import type { TermDecisions } from './useTermWork';
import type { LoadedReview, Proposal } from '../../../plans/terms';

interface ProposalFormProps {
  proposal: Proposal;
  review: LoadedReview;
  decisions: TermDecisions;
}

/** The proposal, editable before it is accepted, and what the market will say against it. */
export function ProposalForm({ proposal, review, decisions }: ProposalFormProps) {
  const changes = toChanges(proposal, review, review.account.targetAcos) ?? [];
  const findings = changes.flatMap(({ change }) => checkChange(change, review.account.limits));
  const sentences = [...new Set(findings.map(({ sentence }) => sentence))];
  return (
    <div
      style={{
        border: '1px solid var(--hairline)',
        borderRadius: 3,
        padding: '8px 10px',
        display: 'grid',
        gap: 6,
      }}
    >
      {proposal.step === 'harvest' ? (
        <HarvestFields proposal={proposal} review={review} decisions={decisions} />
      ) : (
        <NegativeFields proposal={proposal} review={review} decisions={decisions} />
      )}
      <Together changes={changes} review={review} />
      {sentences.map((sentence) => (
        <p key={sentence} className="over" style={{ margin: 0 }}>
          ▲ {sentence} The market will refuse it.
        </p>
      ))}
    </div>
  );
}

function HarvestFields({
  proposal,
  review,
  decisions,
}: ProposalFormProps & { proposal: Extract<Proposal, { step: 'harvest' }> }) {
  const { row, isItem, homeId, bid, block, places, match, gain } = proposal;
  const homes = homesFor(isItem, review);
  return (
    <>
      <label style={LABEL}>
        <span className="faint">{isItem ? 'Item target in' : 'Keyword in'}</span>
        <select
          aria-label="Home"
          value={homeId ?? ''}
          style={{ width: '100%', font: 'inherit' }}
          onChange={(event) => decisions.edit(row, { homeId: Number(event.target.value) })}
        >
          {homeId === null && <option value="">Choose a home …</option>}
          {homes.map((id) => (
            <option key={id} value={id}>
              {adGroupName(id, review)}
            </option>
          ))}
        </select>
      </label>
      <div className="bar" style={{ gap: 12 }}>
        {!isItem && (
          <select
            aria-label="Match of the keyword"
            value={match}
            onChange={(event) => decisions.edit(row, { match: event.target.value as typeof match })}
          >
            {['exact', 'phrase', 'broad'].map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        )}
        <NumberField
          label={`${review.account.currency} bid`}
          value={bid / MICROS_PER_UNIT}
          min={review.account.limits.minBid / MICROS_PER_UNIT}
          step={review.account.limits.bidStep / MICROS_PER_UNIT}
          onChange={(value) => decisions.edit(row, { bid: toMicros(value) })}
        />
        {gain.profit !== 0 && (
          <span className="faint" title={GAIN}>
            profit {gain.profit > 0 ? '+' : ''}
            {formatMoney(gain.profit)} a month
          </span>
        )}
      </div>
      <label style={LABEL}>
        <span className="faint">Once the {isItem ? 'target' : 'keyword'} is accepted, block it in</span>
        <select
          aria-label="Block in the source"
          value={block}
          style={{ width: '100%' }}
          onChange={(event) => decisions.edit(row, { block: event.target.value as typeof block })}
        >
          <option value="nowhere">nowhere</option>
          {NEGATIVE_REACHES.map((reach) => (
            <option key={reach} value={reach}>
              {reachWords(reach, places, review.negativeLists)}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}

/** Ad groups that may become a term's home: those that bid on known words or items first, then all others. */
function homesFor(isItem: boolean, { structure }: LoadedReview): number[] {
  const kind = isItem ? 'item' : 'keyword';
  const fits = new Set(
    structure.targets
      .filter((target) => target.kind === kind && isExactTarget(target))
      .map(({ adGroupId }) => adGroupId),
  );
  const live = structure.adGroups.filter(({ state }) => state !== 'archived').map(({ id }) => id);
  return [...live.filter((id) => fits.has(id)), ...live.filter((id) => !fits.has(id))];
}

function NegativeFields({
  proposal,
  review,
  decisions,
}: ProposalFormProps & { proposal: Extract<Proposal, { step: 'negatives' }> }) {
  const { row, match, reach, places } = proposal;
  return (
    <div style={{ display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', gap: 10 }}>
      <label style={LABEL}>
        <span className="faint">Match</span>
        <select
          aria-label="Match"
          value={match}
          onChange={(event) => decisions.edit(row, { match: event.target.value as typeof match })}
        >
          {(match === 'item' ? ['item'] : ['exact', 'phrase']).map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      <label style={LABEL}>
        <span className="faint">Block in</span>
        <select
          aria-label="Block in"
          value={reach}
          style={{ width: '100%' }}
          onChange={(event) => decisions.edit(row, { reach: event.target.value as BlockReach })}
        >
          {[...places.keys()].map((one) => (
            <option key={one} value={one}>
              {reachWords(one, places, review.negativeLists)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** What the expected profit of a harvest is reckoned from. */
export const GAIN =
  'Margin × what the bid adds in sales, less what its clicks then cost more than now; without costs, margin is taken as 1.5 × the target';

const MOST = 6;

/** Everything that accepting the proposal puts into the tray, in the order in which it is sent. */
function Together({ changes, review }: { changes: NewChange[]; review: LoadedReview }) {
  if (changes.length < 2) return null;
  return (
    <ol aria-label="What is staged together" style={{ margin: 0, paddingLeft: 18, fontSize: 12.5 }}>
      {changes.slice(0, MOST).map(({ change, after }) => (
        <li key={changeKey(change)}>
          {describeChange(change)}{' '}
          <span className="faint">
            {placeOf(change, review)}
            {after !== undefined && ', once that is accepted'}
          </span>
        </li>
      ))}
      {changes.length > MOST && <li className="faint">and {changes.length - MOST} more</li>}
    </ol>
  );
}

function placeOf(change: Change, review: LoadedReview): string {
  if ('adGroupId' in change && change.adGroupId !== null)
    return `in ${adGroupName(change.adGroupId, review)}`;
  return 'campaignId' in change ? `in ${campaignName(change.campaignId, review)}` : '';
}

const LABEL = { display: 'grid', gap: 2, fontSize: 12.5 } as const;
