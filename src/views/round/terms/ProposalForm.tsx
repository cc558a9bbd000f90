import { checkChange } from '../../../core/changes';
import { NEGATIVE_SCOPES } from '../../../core/negatives';
import type { NegativeScope } from '../../../core/negatives';
import { isExactTarget } from '../../../core/structure';
import { MICROS_PER_UNIT, toMicros } from '../../../core/units';
import { NumberField } from '../../shared/NumberField';
import { adGroupName } from './placeName';
import { scopeWords } from './scopeWords';
import { toChanges } from './toChanges';
import type { Decisions } from './useDecisions';
import type { LoadedReview, Proposal } from './worker/types';

interface ProposalFormProps {
  proposal: Proposal;
  review: LoadedReview;
  decisions: Decisions;
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
  const { row, isItem, homeId, bid, block, places } = proposal;
  const homes = homesFor(isItem, review);
  return (
    <>
      <label style={LABEL}>
        <span className="faint">{isItem ? 'Item target in' : 'Exact keyword in'}</span>
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
      <NumberField
        label={`${review.account.currency} bid`}
        value={bid / MICROS_PER_UNIT}
        min={0.01}
        step={0.01}
        onChange={(value) => decisions.edit(row, { bid: toMicros(value) })}
      />
      <label style={LABEL}>
        <span className="faint">Once the {isItem ? 'target' : 'keyword'} is accepted, block it in</span>
        <select
          aria-label="Block in the source"
          value={block}
          onChange={(event) => decisions.edit(row, { block: event.target.value as typeof block })}
        >
          <option value="nowhere">nowhere</option>
          {NEGATIVE_SCOPES.map((scope) => (
            <option key={scope} value={scope}>
              {scopeWords(scope, places)}
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
  decisions,
}: ProposalFormProps & { proposal: Extract<Proposal, { step: 'negatives' }> }) {
  const { row, match, scope, places } = proposal;
  return (
    <div style={{ display: 'flex', gap: 10 }}>
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
          value={scope}
          onChange={(event) => decisions.edit(row, { scope: event.target.value as NegativeScope })}
        >
          {NEGATIVE_SCOPES.map((one) => (
            <option key={one} value={one}>
              {scopeWords(one, places)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

const LABEL = { display: 'grid', gap: 2, fontSize: 12.5 } as const;
