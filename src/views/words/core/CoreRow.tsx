import ButtonBase from '@mui/material/ButtonBase';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { blockOf } from '../../../core/changes';
import Button from '@mui/material/Button';
import type { NewChange } from '../../../contract/changes';
import { counted, DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { CoreTerm } from '../../../core/words';
import { writeCondition } from '../../../core/conditions';
import { pageLink } from '../../shared/frame/pages';
import { PlaceLink } from '../../shared/kit';
import type { TrayState } from '../../shared/tray/useTray';

interface CoreRowProps {
  account: number;
  one: CoreTerm & { places: string[] };
  tray: TrayState;
  onPin: (isWanted: boolean) => void;
}

const MOST_LEAKS = 3;

/** One core term: where it is at home, and where its clicks leak to. */
export function CoreRow({ account, one, tray, onPin }: CoreRowProps) {
  const { term, sums, home, atHome, leaks, places, isPinned } = one;
  const open = leaks.flatMap((leak, at) => (leak.isBlocked ? [] : [{ ...leak, place: places[at] }]));
  const staged = new Set(
    tray.changes.flatMap(({ change }) => {
      const block = blockOf(change);
      return block?.expression === term ? [block.adGroupId] : [];
    }),
  );
  const left = open.filter(({ adGroupId }) => !staged.has(adGroupId));
  return (
    <TableRow>
      <TableCell>
        <ButtonBase
          className="pin"
          aria-pressed={isPinned}
          aria-label={isPinned ? `Unpin ${term}` : `Pin ${term}`}
          title={isPinned ? 'Pinned: kept whether it sells or not' : 'Pin'}
          onClick={() => onPin(!isPinned)}
        >
          {isPinned ? '◆' : '◇'}
        </ButtonBase>
        <strong>{term}</strong>
      </TableCell>
      <TableCell className="figure">{formatCount(sums.clicks)}</TableCell>
      <TableCell className="figure">{formatCount(sums.orders)}</TableCell>
      <TableCell className="figure">{formatMoney(sums.sales)}</TableCell>
      <TableCell className="figure">{sums.sales > 0 ? formatShare(sums.spend / sums.sales) : DASH}</TableCell>
      <TableCell>{home ? <HomeName home={home} /> : <NoHome account={account} term={term} />}</TableCell>
      <TableCell className="figure">{atHome === null ? DASH : formatShare(atHome, 0)}</TableCell>
      <TableCell>
        {open.slice(0, MOST_LEAKS).map(({ adGroupId, place, sums: own }) => (
          <div key={adGroupId} className={staged.has(adGroupId) ? 'faint' : ''}>
            {place} <span className="faint">{counted(own.clicks, 'click')}</span>
          </div>
        ))}
        {open.length > MOST_LEAKS && <span className="faint">and {open.length - MOST_LEAKS} more</span>}
        {open.length === 0 && <span className="faint">{home ? 'none' : DASH}</span>}
      </TableCell>
      <TableCell className="figure">
        {home && left.length > 0 && (
          <Button
            data-may="decide"
            sx={{ padding: 0 }}
            aria-label={`Stop the leaks of ${term}`}
            onClick={() => tray.stage.mutate(left.map((leak) => stopLeak(term, leak)))}
          >
            Stop {left.length === 1 ? 'the leak' : `${left.length} leaks`}
          </Button>
        )}
      </TableCell>
    </TableRow>
  );
}

/** The round finds a home and a first bid for it, whether it qualifies there or not. */
function NoHome({ account, term }: { account: number; term: string }) {
  const query = `step=harvest&show=all&where=${encodeURIComponent(writeCondition({ field: 'term', op: 'holds', text: term }))}`;
  return (
    <>
      <span className="over">▲ none</span>{' '}
      <PlaceLink href={`${pageLink('round', account)}&${query}`}>give it one</PlaceLink>
    </>
  );
}

function HomeName({ home }: { home: NonNullable<CoreTerm['home']> }) {
  return (
    <>
      {home.kind === 'item' ? 'item target' : 'exact'}
      {home.bid !== null && <span className="faint"> bids {formatMoney(home.bid)}</span>}
    </>
  );
}

function stopLeak(term: string, { adGroupId, campaignId, sums }: CoreTerm['leaks'][number]): NewChange {
  const { clicks, orders, spend, sales } = sums;
  return {
    change: { kind: 'add-negative', campaignId, adGroupId, match: 'exact', expression: term },
    reason: `Core term that has a home: ${formatCount(clicks)} of its clicks went here in 90 days.`,
    figures: { step: 'negatives', term, adGroupId, clicks, orders, spend, sales },
    effect: { spend: 0, sales: 0 },
  };
}
