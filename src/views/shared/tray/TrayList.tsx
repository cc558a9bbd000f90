import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo, useState } from 'react';
import type { MarketLimits } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import { useRemembered } from '../useRemembered';
import { Conflicts } from './Conflicts';
import { CostlyNegatives } from './CostlyNegatives';
import { groupChanges, trayWords } from './groups';
import type { ChangeGroup, Grouping } from './groups';
import { signed } from './money';
import { TrayRow } from './TrayRow';
import type { NegativeChecked } from './useNegativeCheck';
import type { TrayState } from './useTray';
import { Facts } from '../kit';

/** So many changes are shown at once; larger trays open group by group. */
const MOST_OPEN = 60;
/** Of an open group so many are shown, and so many more at a time. */
const FIRST_IN_GROUP = 50;
const MORE_IN_GROUP = 200;
const MOST_GROUPS = 50;

const WIDTHS = ['25%', '22%', '6%', '7%', '8%', '8%', '16%', '8%'];

interface TrayListProps {
  tray: TrayState;
  check: NegativeChecked;
  limits: MarketLimits;
  currency: string;
}

/** The staged changes by campaign or by kind, after what does not go together among them. */
export function TrayList({ tray, check, limits, currency }: TrayListProps) {
  const [chosen, setBy] = useRemembered<Grouping | null>('tray-grouping', null);
  const [most, setMost] = useState(MOST_GROUPS);
  const { changes } = tray;
  const campaigns = useMemo(() => groupChanges(changes, 'campaign'), [changes]);
  const kinds = useMemo(() => groupChanges(changes, 'kind'), [changes]);
  if (changes.length === 0)
    return (
      <Box component="p" sx={{ padding: '0 16px 12px' }}>
        Accept a proposal, and it waits here until you send.
      </Box>
    );
  // What many campaigns have in common is read first by what is done.
  const by = chosen ?? (campaigns.length > MOST_GROUPS ? 'kind' : 'campaign');
  const groups = by === 'kind' ? kinds : campaigns;
  return (
    <Box sx={{ maxHeight: '56vh', overflow: 'auto', padding: '0 16px 12px' }}>
      <CostlyNegatives check={check} tray={tray} currency={currency} />
      <Conflicts tray={tray} />
      <div className="bar">
        <ToggleButtonGroup
          size="small"
          exclusive
          value={by}
          onChange={(_, next: Grouping | null) => next && setBy(next)}
          aria-label="Grouped by"
        >
          <ToggleButton value="campaign">by campaign</ToggleButton>
          <ToggleButton value="kind">by kind</ToggleButton>
        </ToggleButtonGroup>
        <span className="room" />
        <Button data-may="decide" onClick={() => tray.withdraw.mutate(changes.map(({ id }) => id))}>
          Take all out
        </Button>
      </div>
      {changes.length > MOST_OPEN && <p className="line">{trayWords(kinds, campaigns)}</p>}
      <Facts sx={{ tableLayout: 'fixed' }}>
        <colgroup>
          {WIDTHS.map((width, at) => (
            <Box component="col" key={at} sx={{ width }} />
          ))}
        </colgroup>
        <TableHead>
          <TableRow>
            <TableCell>Change</TableCell>
            <TableCell>Campaign › ad group</TableCell>
            <TableCell className="figure">Before</TableCell>
            <TableCell className="figure">After</TableCell>
            <TableCell className="figure">Spend {currency}/mo</TableCell>
            <TableCell className="figure">Sales {currency}/mo</TableCell>
            <TableCell>Why</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        {groups.slice(0, most).map((group) => (
          <Group
            key={`${by} ${group.name}`}
            group={group}
            tray={tray}
            limits={limits}
            currency={currency}
            isFirstOpen={changes.length <= MOST_OPEN || groups.length === 1}
          />
        ))}
      </Facts>
      {groups.length > most && (
        <p className="note">
          {formatCount(most)} of {formatCount(groups.length)} campaigns, those that move the most money.{' '}
          <Button variant="link" onClick={() => setMost(most + MOST_GROUPS)}>
            Show more
          </Button>
        </p>
      )}
    </Box>
  );
}

interface GroupProps {
  group: ChangeGroup;
  tray: TrayState;
  limits: MarketLimits;
  currency: string;
  isFirstOpen: boolean;
}

function Group({ group, tray, limits, currency, isFirstOpen }: GroupProps) {
  const [isOpen, setOpen] = useState(isFirstOpen);
  const [most, setMost] = useState(FIRST_IN_GROUP);
  const { name, changes, effect } = group;
  return (
    <TableBody>
      <TableRow>
        <TableCell component="th" scope="row" colSpan={4} sx={{ color: 'var(--ink)' }}>
          <Button variant="link" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)} color="inherit">
            <span aria-hidden="true">{isOpen ? '▾' : '▸'}</span>&nbsp;<strong>{name}</strong>&nbsp;
            <span className="faint">{formatCount(changes.length)}</span>
          </Button>
        </TableCell>
        <TableCell component="th" scope="row" className="figure">
          {effect.spend === 0 ? '' : signed(effect.spend)}
        </TableCell>
        <TableCell component="th" scope="row" className="figure">
          {effect.sales === 0 ? '' : signed(effect.sales)}
        </TableCell>
        <TableCell component="th" scope="row" />
        <TableCell component="th" scope="row" className="figure">
          <Button
            data-may="decide"
            sx={{ padding: 0 }}
            onClick={() => tray.withdraw.mutate(changes.map(({ id }) => id))}
            aria-label={`Take out all of ${name}`}
          >
            Take out {formatCount(changes.length)}
          </Button>
        </TableCell>
      </TableRow>
      {isOpen &&
        changes
          .slice(0, most)
          .map((one) => <TrayRow key={one.id} one={one} tray={tray} limits={limits} currency={currency} />)}
      {isOpen && changes.length > most && (
        <TableRow>
          <TableCell colSpan={8}>
            <Button onClick={() => setMost(most + MORE_IN_GROUP)}>
              {formatCount(Math.min(MORE_IN_GROUP, changes.length - most))} more
            </Button>
            {changes.length - most > MORE_IN_GROUP && (
              <span className="faint"> of {formatCount(changes.length - most)}</span>
            )}
          </TableCell>
        </TableRow>
      )}
    </TableBody>
  );
}
