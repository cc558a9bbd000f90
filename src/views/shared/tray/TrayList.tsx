import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { MarketLimits } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import { useRemembered } from '../useRemembered';
import { Conflicts } from './Conflicts';
import { CostlyNegatives } from './CostlyNegatives';
import { groupChanges } from './groups';
import type { ChangeGroup, Grouping } from './groups';
import { signed } from './money';
import { TrayRow } from './TrayRow';
import type { NegativeChecked } from './useNegativeCheck';
import type { TrayState } from './useTray';

/** So many changes are shown at once; larger trays open group by group. */
const MOST_OPEN = 60;
const MOST_IN_GROUP = 200;

const WIDTHS = ['25%', '22%', '6%', '7%', '8%', '8%', '16%', '8%'];

interface TrayListProps {
  tray: TrayState;
  check: NegativeChecked;
  limits: MarketLimits;
  currency: string;
}

/** The staged changes by campaign or by kind, after what does not go together among them. */
export function TrayList({ tray, check, limits, currency }: TrayListProps) {
  const [by, setBy] = useRemembered<Grouping>('tray-grouping', 'campaign');
  const { changes } = tray;
  if (changes.length === 0)
    return <p style={{ padding: '0 16px 12px' }}>Accept a proposal, and it waits here until you send.</p>;
  const groups = groupChanges(changes, by);
  return (
    <div style={{ maxHeight: '56vh', overflow: 'auto', padding: '0 16px 12px' }}>
      <CostlyNegatives check={check} tray={tray} currency={currency} />
      <Conflicts tray={tray} />
      <div className="bar" style={{ marginBottom: 4 }}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={by}
          onChange={(_, next: Grouping | null) => next && setBy(next)}
          aria-label="Grouped by"
        >
          <ToggleButton value="campaign" sx={{ padding: '1px 8px', textTransform: 'none' }}>
            by campaign
          </ToggleButton>
          <ToggleButton value="kind" sx={{ padding: '1px 8px', textTransform: 'none' }}>
            by kind
          </ToggleButton>
        </ToggleButtonGroup>
        <span style={{ flex: 1 }} />
        <Button onClick={() => tray.withdraw.mutate(changes.map(({ id }) => id))}>Take all out</Button>
      </div>
      <table className="plain" style={{ tableLayout: 'fixed' }}>
        <colgroup>
          {WIDTHS.map((width, at) => (
            <col key={at} style={{ width }} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th>Change</th>
            <th>Campaign › ad group</th>
            <th className="figure">Before</th>
            <th className="figure">After</th>
            <th className="figure">Spend {currency}/mo</th>
            <th className="figure">Sales {currency}/mo</th>
            <th>Why</th>
            <th />
          </tr>
        </thead>
        {groups.map((group) => (
          <Group
            key={`${by} ${group.name}`}
            group={group}
            tray={tray}
            limits={limits}
            isFirstOpen={changes.length <= MOST_OPEN || groups.length === 1}
          />
        ))}
      </table>
    </div>
  );
}

interface GroupProps {
  group: ChangeGroup;
  tray: TrayState;
  limits: MarketLimits;
  isFirstOpen: boolean;
}

function Group({ group, tray, limits, isFirstOpen }: GroupProps) {
  const [isOpen, setOpen] = useState(isFirstOpen);
  const [most, setMost] = useState(MOST_IN_GROUP);
  const { name, changes, effect } = group;
  return (
    <tbody>
      <tr>
        <th colSpan={4} style={{ color: 'var(--ink)' }}>
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            style={{ all: 'unset', cursor: 'pointer' }}
          >
            <span aria-hidden="true">{isOpen ? '▾' : '▸'}</span> <strong>{name}</strong>{' '}
            <span className="faint">{formatCount(changes.length)}</span>
          </button>
        </th>
        <th className="figure">{effect.spend === 0 ? '' : signed(effect.spend)}</th>
        <th className="figure">{effect.sales === 0 ? '' : signed(effect.sales)}</th>
        <th />
        <th className="figure">
          <Button
            sx={{ padding: 0 }}
            onClick={() => tray.withdraw.mutate(changes.map(({ id }) => id))}
            aria-label={`Take out all of ${name}`}
          >
            Take out {formatCount(changes.length)}
          </Button>
        </th>
      </tr>
      {isOpen &&
        changes.slice(0, most).map((one) => <TrayRow key={one.id} one={one} tray={tray} limits={limits} />)}
      {isOpen && changes.length > most && (
        <tr>
          <td colSpan={8}>
            <Button onClick={() => setMost(most + MOST_IN_GROUP)}>
              {formatCount(changes.length - most)} more
            </Button>
          </td>
        </tr>
      )}
    </tbody>
  );
}
