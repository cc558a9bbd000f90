import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import type { AccountLine } from '../../contract/accountList';
import { formatCount, formatDay, formatMoneyOf, formatShare } from '../../core/units';
import { api } from '../shared/api';
import { formatTime } from '../shared/formatTime';
import { pageLink } from '../shared/frame/pages';
import { Facts, Fault, FindIn, Loading, ShowMore, useShort } from '../shared/kit';
import { useProposals } from './useProposals';

/** Every account that one may see: what it spends, how it stands, what is left to do. */
export function AccountTable() {
  const { data, error } = useQuery({ queryKey: ['account-list'], queryFn: api.accountList });
  const short = useShort(data ?? [], ({ name }) => name);
  const proposals = useProposals();
  return (
    <>
      <h1 className="pageTitle">Accounts</h1>
      <p className="note">
        Figures are of each account’s settled window, in its own currency. Proposals are bids that the round
        would change.
      </p>
      <Fault error={error} />
      {!data && !error && <Loading>Reading the accounts …</Loading>}
      {data && data.length > 10 && <FindIn noun="accounts" short={short} />}
      {data && data.length === 0 && (
        <p className="faint">No account is yours to see yet. Ask one of its owners.</p>
      )}
      {data && data.length > 0 && (
        <Facts aria-label="Accounts">
          <TableHead>
            <TableRow>
              <TableCell>Account</TableCell>
              <TableCell className="figure">Spend</TableCell>
              <TableCell className="figure">ACOS</TableCell>
              <TableCell className="figure">Target</TableCell>
              <TableCell
                className="figure"
                title="What this month’s spend comes to at its rate, and its goal"
              >
                Month’s spend
              </TableCell>
              <TableCell className="figure" title="Bids that would be changed, by the account’s own choices">
                Proposals
              </TableCell>
              <TableCell className="figure" title="Staged, and not sent yet">
                Tray
              </TableCell>
              <TableCell>Figures to</TableCell>
              <TableCell>Trouble</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {short.shown.map((line) => (
              <AccountRow key={line.id} line={line} proposals={proposals.get(line.id)} />
            ))}
          </TableBody>
        </Facts>
      )}
      <ShowMore noun="accounts" short={short} />
    </>
  );
}

function AccountRow({ line, proposals }: { line: AccountLine; proposals: number | null | undefined }) {
  const { id, name, currency, targetAcos, window, spend, sales, month, staged, lastDay, trouble } = line;
  const acos = sales > 0 ? spend / sales : null;
  return (
    <TableRow>
      <TableCell>
        <a href={pageLink('round', id)}>{name}</a>
      </TableCell>
      <TableCell className="figure">
        {window === null ? (
          '–'
        ) : (
          <span title={`${formatDay(window.from)} – ${formatDay(window.to)}`}>
            {formatMoneyOf(spend, currency)} {currency}
          </span>
        )}
      </TableCell>
      <TableCell className={`figure ${acos === null ? 'faint' : acos > targetAcos ? 'over' : 'under'}`}>
        {acos === null ? '–' : formatShare(acos)}
      </TableCell>
      <TableCell className="figure faint">{formatShare(targetAcos)}</TableCell>
      <TableCell className="figure">
        {month?.forecast == null ? '–' : formatMoneyOf(month.forecast, currency)}
        {month?.goal != null && <span className="faint"> of {formatMoneyOf(month.goal, currency)}</span>}
      </TableCell>
      <TableCell className="figure">
        {lastDay === null
          ? '–'
          : proposals === undefined
            ? '…'
            : proposals === null
              ? '?'
              : formatCount(proposals)}
      </TableCell>
      <TableCell className="figure">{staged === 0 ? '' : formatCount(staged)}</TableCell>
      <TableCell className="faint">
        {lastDay === null ? (
          'none'
        ) : (
          <span title={line.broughtAt === null ? undefined : `Brought in ${formatTime(line.broughtAt)}`}>
            {formatDay(lastDay)}
          </span>
        )}
      </TableCell>
      <TableCell>
        {trouble.map((sentence) => (
          <div key={sentence} className="over">
            ▲ {sentence}
          </div>
        ))}
      </TableCell>
    </TableRow>
  );
}
