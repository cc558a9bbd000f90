import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { counted, formatCount, formatMoney, formatShare } from '../../../core/units';
import { stoppedBy } from '../../../core/negatives';
import { adGroupName, campaignName, placeName } from './placeName';
import type { LoadedReview, Proposal, RowDetail } from '../../../plans/terms';
import { Facts } from '../../shared/kit';

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
    <p className="line">
      Blocked as proposed, {formatCount(clicks)} of its {counted(all, 'click')} would stop
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
      <Box component="h3" sx={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>
        Where it runs
      </Box>
      <p className="line">
        Caught here by {caught}
        {detail.elsewhere.length > 0 && `, where ${shareOf(row)} of its clicks went`}
        {others > 0 && ` and ${others} other ${others === 1 ? 'target' : 'targets'}`}.
        {detail.isNegativeHere && ' It is already a negative here.'}
      </p>
      {detail.exactTargets.map((id) => {
        const exact = structure.targets.find((one) => one.id === id);
        return (
          exact && (
            <p className="line under" key={id}>
              ● Exact in {adGroupName(exact.adGroupId, review)}
              {exact.bid !== null && `, bid ${formatMoney(exact.bid)}`}
            </p>
          )
        );
      })}
      {detail.negatives.slice(0, MOST).map((one) => (
        <p className="line over" key={one.id}>
          ▲ Negative in{' '}
          {one.adGroupId === null ? campaignName(one.campaignId, review) : adGroupName(one.adGroupId, review)}{' '}
          ({one.match}
          {one.match === 'phrase' && ` “${one.expression}”`})
        </p>
      ))}
      {detail.negatives.length > MOST && (
        <p className="note">and {formatCount(detail.negatives.length - MOST)} more negatives that stop it</p>
      )}
      <StopWords proposal={proposal} detail={detail} review={review} row={row} />
      {detail.elsewhere.length === 0 ? (
        <p className="note">It ran nowhere else in this window.</p>
      ) : (
        <Facts sx={{ fontSize: 12.5 }}>
          <TableHead>
            <TableRow>
              <TableCell>Also in</TableCell>
              <TableCell className="figure">Clicks</TableCell>
              <TableCell className="figure">Share</TableCell>
              <TableCell className="figure">Orders</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {detail.elsewhere.slice(0, 8).map((other) => (
              <TableRow key={other}>
                <TableCell>{placeName(other, review)}</TableCell>
                <TableCell className="figure">{formatCount(table.clicks[other])}</TableCell>
                <TableCell className="figure">{shareOf(other)}</TableCell>
                <TableCell className="figure">{formatCount(table.orders[other])}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
    </>
  );
}
