import Box from '@mui/material/Box';
import type { NewChange } from '../../../contract/changes';
import { changeKey, checkChange, describeChange } from '../../../core/changes';
import type { Change } from '../../../core/changes';
import { NEGATIVE_REACHES } from '../../../core/negatives';
import type { BlockReach } from '../../../core/negatives';
import { isExactTarget } from '../../../core/structure';
import { formatMoney } from '../../../core/units';
import { adGroupName, campaignName } from './placeName';
import { reachWords } from './reachWords';
import { toChanges } from '../../../plans/terms';
import type { TermDecisions } from './useTermWork';
import type { LoadedReview, Proposal } from '../../../plans/terms';
import { hasBids, matchesOf } from '../../shared/offered';
import { Choice, Finder, MoneyField } from '../../shared/kit';
import type { Option } from '../../shared/kit';

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
    <div className="framed formGrid">
      {proposal.step === 'harvest' ? (
        <HarvestFields proposal={proposal} review={review} decisions={decisions} />
      ) : (
        <NegativeFields proposal={proposal} review={review} decisions={decisions} />
      )}
      <Together changes={changes} review={review} />
      {sentences.map((sentence) => (
        <p className="line over" key={sentence}>
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
      <div className="stacked">
        <span className="faint">{isItem ? 'Item target in' : 'Keyword in'}</span>
        <Finder
          label="Home"
          value={homeId}
          placeholder="Choose a home …"
          onChange={(id) => decisions.edit(row, { homeId: id })}
        >
          {homes.map((id) => ({ value: id, words: adGroupName(id, review) }))}
        </Finder>
      </div>
      <div className="bar">
        {!isItem && (
          <Choice
            label="Match of the keyword"
            value={match}
            onChange={(next) => decisions.edit(row, { match: next as typeof match })}
          >
            {matchesOf(review.account)}
          </Choice>
        )}
        {hasBids(review.account) && (
          <MoneyField
            label="Bid"
            micros={bid}
            currency={review.account.currency}
            least={review.account.limits.minBid}
            step={review.account.limits.bidStep}
            onMicros={(next) => decisions.edit(row, { bid: next })}
          />
        )}
        {gain.profit !== 0 && (
          <span className="faint" title={GAIN}>
            profit {gain.profit > 0 ? '+' : ''}
            {formatMoney(gain.profit)} a month
          </span>
        )}
      </div>
      <div className="stacked">
        <span className="faint">Once the {isItem ? 'target' : 'keyword'} is accepted, block it in</span>
        <Choice
          label="Block in the source"
          value={block}
          onChange={(next) => decisions.edit(row, { block: next as typeof block })}
        >
          {[
            ['nowhere', 'nowhere'] as const,
            ...NEGATIVE_REACHES.map((reach): Option => [
              reach,
              reachWords(reach, places, review.negativeLists),
            ]),
          ]}
        </Choice>
      </div>
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
    <div className="matchAndReach">
      <div className="stacked">
        <span className="faint">Match</span>
        <Choice
          label="Match"
          value={match}
          onChange={(next) => decisions.edit(row, { match: next as typeof match })}
        >
          {match === 'item' ? ['item'] : ['exact', 'phrase']}
        </Choice>
      </div>
      <div className="stacked">
        <span className="faint">Block in</span>
        <Choice
          label="Block in"
          value={reach}
          onChange={(next) => decisions.edit(row, { reach: next as BlockReach })}
        >
          {[...places.keys()].map((one): Option => [one, reachWords(one, places, review.negativeLists)])}
        </Choice>
      </div>
    </div>
  );
}

/** What the expected profit of a harvest is reckoned from. */
export const GAIN =
  'Margin × what the bid adds in sales, less what its clicks then cost more than now; without costs, margin is taken as 1.5 × the target ACOS';

const MOST = 6;

/** Everything that accepting the proposal puts into the tray, in the order in which it is sent. */
function Together({ changes, review }: { changes: NewChange[]; review: LoadedReview }) {
  if (changes.length < 2) return null;
  return (
    <Box
      component="ol"
      aria-label="What is staged together"
      sx={{ margin: 0, paddingLeft: '18px', fontSize: 12.5 }}
    >
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
    </Box>
  );
}

function placeOf(change: Change, review: LoadedReview): string {
  if ('adGroupId' in change && change.adGroupId !== null)
    return `in ${adGroupName(change.adGroupId, review)}`;
  return 'campaignId' in change ? `in ${campaignName(change.campaignId, review)}` : '';
}
