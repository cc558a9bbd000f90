import Button from '@mui/material/Button';
import { useState } from 'react';
import { normaliseTerm } from '../../../core/matching';
import { formatCount } from '../../../core/units';
import type { NegativeListInfo } from '../../../contract/words';

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
      <div className="bar" style={{ gap: 8, marginBottom: 10 }}>
        <input
          aria-label="Find campaigns"
          placeholder="Find campaigns"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {others.length > 0 && (
          <Button onClick={() => onCampaigns([...list.campaignIds, ...others])}>
            Keep it over {words === '' ? 'all' : 'these'} {formatCount(others.length)}
          </Button>
        )}
      </div>
      <table className="plain">
        <thead>
          <tr>
            <th>Kept over</th>
            <th className="figure">Holds</th>
          </tr>
        </thead>
        <tbody>
          {shown.slice(0, MOST).map(({ id, name, state }) => (
            <tr key={id}>
              <td>
                <label style={{ overflowWrap: 'anywhere' }}>
                  <input type="checkbox" checked={held.has(id)} onChange={() => toggle(id)} /> {name}
                  {state !== 'enabled' && <span className="faint"> · {state}</span>}
                </label>
              </td>
              <td className="figure">
                {held.has(id) ? `${formatCount(held.get(id)!)} of ${formatCount(list.terms.length)}` : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length > MOST && <p className="faint">and {formatCount(shown.length - MOST)} more</p>}
    </section>
  );
}
