import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { normaliseTerm } from '../../../core/matching';
import { formatCount } from '../../../core/units';
import type { NegativeListInfo } from '../../../contract/words';
import { Check, Facts, TextBox } from '../../shared/kit';

interface ListCampaignsProps {
  list: NegativeListInfo;
  campaigns: { id: number; name: string; state: string }[];
  onCampaigns: (ids: number[]) => void;
}

/** Campaigns drawn at once: an account may have thousands. */
const MOST = 300;

/** The campaigns that a list is kept over, each with how much of the list holds there. */
export function ListCampaigns({ list, campaigns, onCampaigns }: ListCampaignsProps) {
  const [search, setSearch] = useState('');
  const held = new Map(list.campaignIds.map((id, at) => [id, list.heldByCampaign[at]]));
  const words = normaliseTerm(search);
  const found = campaigns.filter(({ name }) => normaliseTerm(name).includes(words));
  // What the list is kept over comes first.
  const shown = [...found.filter(({ id }) => held.has(id)), ...found.filter(({ id }) => !held.has(id))];
  const others = found.filter(({ id }) => !held.has(id)).map(({ id }) => id);
  const toggle = (id: number) =>
    onCampaigns(held.has(id) ? list.campaignIds.filter((one) => one !== id) : [...list.campaignIds, id]);
  return (
    <section aria-label="Campaigns of the list">
      <div className="bar">
        <TextBox
          aria-label="Find campaigns"
          placeholder="Find campaigns"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {others.length > 0 && (
          <Button data-may="decide" onClick={() => onCampaigns([...list.campaignIds, ...others])}>
            Keep it over {words === '' ? 'all' : 'these'} {formatCount(others.length)}
          </Button>
        )}
      </div>
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell>Kept over</TableCell>
            <TableCell className="figure">Holds</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.slice(0, MOST).map(({ id, name, state }) => (
            <TableRow key={id}>
              <TableCell>
                <Check isOn={held.has(id)} onChange={() => toggle(id)}>
                  {name}
                  {state !== 'enabled' && <span className="faint"> · {state}</span>}
                </Check>
              </TableCell>
              <TableCell className="figure">
                {held.has(id) ? `${formatCount(held.get(id)!)} of ${formatCount(list.terms.length)}` : ''}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {shown.length > MOST && <p className="faint">and {formatCount(shown.length - MOST)} more</p>}
    </section>
  );
}
