import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { stoppedBy } from '../../../core/negatives';
import { adGroupName, campaignName, placeName } from './placeName';
import type { LoadedReview, Proposal, RowDetail } from '../../../plans/terms';

const MOST = 5;

/** What the negatives of a proposal would really stop: a term that runs in other places goes on there. */
function StopWords({
  proposal,
  detail,
  review,
  row,
}: {
  proposal: Proposal;
  detail: RowDetail;
  review: LoadedReview;
  row: number;
}) {
  const reach = proposal.step === 'harvest' ? proposal.block : proposal.reach;
  if (reach === 'nowhere') return null;
  const { clicks, all, goesOn } = stoppedBy(
    review,
    [row, ...detail.elsewhere],
    proposal.places.get(reach) ?? [],
  );
  if (all === 0) return null;
  const places = new Set(goesOn).size;
  return (
    <p style={{ margin: '2px 0' }}>
      Blocked as proposed, {formatCount(clicks)} of its {formatCount(all)} clicks would stop
      {places > 0
        ? `; it goes on in ${formatCount(places)} other ad ${places === 1 ? 'group' : 'groups'}.`
        : '.'}
    </p>
  );
}

/** Where else the term runs, is targeted, is negative; and the target that caught it here. */
export function Elsewhere({
  detail,
  proposal,
  review,
  row,
}: {
  detail: RowDetail;
  proposal: Proposal;
  review: LoadedReview;
  row: number;
}) {
  const { table, structure } = review;
  const target = structure.targets.find(({ id }) => id === table.targetId[row]);
  const caught = target
    ? `${target.expression || 'unknown target'} (${target.match ?? target.kind})`
    : 'unknown target';
  const others = table.targetCount[row] - 1;
  const all = detail.elsewhere.reduce((sum, other) => sum + table.clicks[other], table.clicks[row]);
  const shareOf = (at: number) => formatShare(all > 0 ? table.clicks[at] / all : null, 0);
  return (
    <>
      <h3 style={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>Where it runs</h3>
      <p style={{ margin: 0 }}>
        Caught here by {caught}
        {detail.elsewhere.length > 0 && `, where ${shareOf(row)} of its clicks went`}
        {others > 0 && ` and ${others} other ${others === 1 ? 'target' : 'targets'}`}.
        {detail.isNegativeHere && ' It is negative here already.'}
      </p>
      {detail.exactTargets.map((id) => {
        const exact = structure.targets.find((one) => one.id === id);
        return (
          exact && (
            <p key={id} style={{ margin: '2px 0' }} className="under">
              ● Exact in {adGroupName(exact.adGroupId, review)}
              {exact.bid !== null && `, bid ${formatMoney(exact.bid)}`}
            </p>
          )
        );
      })}
      {detail.negatives.slice(0, MOST).map((one) => (
        <p key={one.id} style={{ margin: '2px 0' }} className="over">
          ▲ Negative in{' '}
          {one.adGroupId === null ? campaignName(one.campaignId, review) : adGroupName(one.adGroupId, review)}{' '}
          ({one.match}
          {one.match === 'phrase' && ` “${one.expression}”`})
        </p>
      ))}
      {detail.negatives.length > MOST && (
        <p className="faint" style={{ margin: '2px 0' }}>
          and {formatCount(detail.negatives.length - MOST)} more negatives that stop it
        </p>
      )}
      <StopWords proposal={proposal} detail={detail} review={review} row={row} />
      {detail.elsewhere.length === 0 ? (
        <p className="faint" style={{ margin: '2px 0' }}>
          In this window it ran nowhere else.
        </p>
      ) : (
        <table className="plain" style={{ fontSize: 12.5 }}>
          <thead>
            <tr>
              <th>Also in</th>
              <th className="figure">Clicks</th>
              <th className="figure">Share</th>
              <th className="figure">Orders</th>
            </tr>
          </thead>
          <tbody>
            {detail.elsewhere.slice(0, 8).map((other) => (
              <tr key={other}>
                <td>{placeName(other, review)}</td>
                <td className="figure">{formatCount(table.clicks[other])}</td>
                <td className="figure">{shareOf(other)}</td>
                <td className="figure">{formatCount(table.orders[other])}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
