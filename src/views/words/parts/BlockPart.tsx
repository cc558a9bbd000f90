import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { NewChange } from '../../../contract/changes';
import { NO_SUMS, addSums } from '../../../core/measures';
import { counted, DAYS_PER_MONTH, formatCount, formatMoney } from '../../../core/units';
import type { TrayState } from '../../shared/tray/useTray';
import type { PartDetail, PartPlace } from '../../../plans/words';
import { WORDS_DAYS } from '../../../core/words';
import { Check, Facts } from '../../shared/kit';

interface BlockPartProps {
  detail: PartDetail;
  tray: TrayState;
  currency: string;
}

/** Blocks a part as a phrase in the campaigns that are chosen, after what that would have cost was told. */
export function BlockPart({ detail, tray, currency }: BlockPartProps) {
  const open = detail.places.filter(({ isNegative }) => !isNegative);
  // Where it sold it is left alone unless she says so.
  const [chosen, setChosen] = useState(
    () => new Set(open.filter(({ sums }) => sums.orders === 0).map(({ campaignId }) => campaignId)),
  );
  const places = open.filter(({ campaignId }) => chosen.has(campaignId));
  const sums = places.reduce((total, place) => addSums(total, place.sums), { ...NO_SUMS });
  const targets = places.flatMap((place) => place.targets);
  const toggle = (id: number) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <Box component="section" aria-label="Block the part" sx={{ margin: '0 0 10px' }}>
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell sx={{ whiteSpace: 'normal' }}>Block “{detail.text}” as a phrase in</TableCell>
            <TableCell className="figure">Clicks</TableCell>
            <TableCell className="figure">Orders</TableCell>
            <TableCell className="figure">Spend {currency}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {detail.places.map((place) => (
            <TableRow key={place.campaignId}>
              <TableCell>
                <Check
                  isOff={place.isNegative}
                  isOn={place.isNegative || chosen.has(place.campaignId)}
                  onChange={() => toggle(place.campaignId)}
                >
                  {place.campaign}
                  {place.isNegative && <span className="faint"> · blocked already</span>}
                  {place.targets.length > 0 && (
                    <div className="over">▲ keeps “{place.targets[0]}” from showing</div>
                  )}
                </Check>
              </TableCell>
              <TableCell className="figure">{formatCount(place.sums.clicks)}</TableCell>
              <TableCell className={`figure${place.sums.orders > 0 ? ' over' : ''}`}>
                {formatCount(place.sums.orders)}
              </TableCell>
              <TableCell className="figure">{formatMoney(place.sums.spend)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      <p className="line">
        {places.length === 0
          ? 'Choose a campaign.'
          : `Saves ${formatMoney(sums.spend / MONTHS)} ${currency} a month${sums.orders > 0 ? ` and gives up ${formatMoney(sums.sales / MONTHS)} of sales` : ', and no sale is lost'}${targets.length > 0 ? `; ${targets.length} live ${targets.length === 1 ? 'target would' : 'targets would'} not show any more` : ''}.`}
      </p>
      <Button
        data-may="decide"
        variant="contained"
        disabled={places.length === 0 || tray.stage.isPending}
        onClick={() => tray.stage.mutate(places.map((place) => negativeFor(detail.text, place)))}
      >
        Block in {formatCount(places.length)} {places.length === 1 ? 'campaign' : 'campaigns'}
      </Button>
    </Box>
  );
}

const MONTHS = WORDS_DAYS / DAYS_PER_MONTH;

function negativeFor(text: string, { campaignId, sums }: PartPlace): NewChange {
  const { clicks, orders, spend, sales } = sums;
  return {
    change: { kind: 'add-negative', campaignId, adGroupId: null, match: 'phrase', expression: text },
    reason: `Terms that hold “${text}”: ${counted(clicks, 'click')}, ${counted(orders, 'order')}, ${formatMoney(spend)} spent there in ${WORDS_DAYS} days.`,
    figures: { step: 'negatives', clicks, orders, spend, sales },
    effect: { spend: -Math.round(spend / MONTHS), sales: -Math.round(sales / MONTHS) },
  };
}
