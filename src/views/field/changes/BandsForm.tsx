import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { AcosBands } from '../../../core/changes';
import { formatShare, MICROS_PER_UNIT } from '../../../core/units';
import { USUAL_BANDS } from '../../../plans/byHand';
import { Facts, MoneyField, NumberField, ShareField } from '../../shared/kit';

interface BandsFormProps {
  bands: AcosBands;
  currency: string;
  onBands: (bands: AcosBands) => void;
}

/** The table of ACOS bands, each with its per cent: of each target the highest band it reaches is applied, once. */
export function BandsForm({ bands, currency, onBands }: BandsFormProps) {
  const anchor = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const list = [...bands.bands].sort((a, b) => b.from - a.from);
  const put = (at: number, band: { from: number; by: number }) =>
    onBands({ ...bands, bands: list.map((one, index) => (index === at ? band : one)) });
  return (
    <>
      <Button ref={anchor} onClick={() => setOpen(true)} title="Edit the bands">
        {list.map(({ by }) => signedShare(by)).join(' / ')}
      </Button>
      <Popover open={isOpen} anchorEl={anchor.current} onClose={() => setOpen(false)}>
        <div className="popForm" role="group" aria-label="ACOS bands">
          <Facts>
            <TableHead>
              <TableRow>
                <TableCell>ACOS from … of the target</TableCell>
                <TableCell>Moves the bid by</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {list.map((band, at) => (
                <TableRow key={at}>
                  <TableCell>
                    <NumberField
                      label="From"
                      isLabelled={false}
                      unit="×"
                      value={band.from}
                      min={0}
                      step={0.05}
                      onChange={(from) => put(at, { ...band, from })}
                    />
                  </TableCell>
                  <TableCell>
                    <ShareField
                      label="Moves the bid by"
                      isLabelled={false}
                      share={band.by}
                      least={-0.9}
                      onShare={(by) => put(at, { ...band, by })}
                    />
                  </TableCell>
                  <TableCell>
                    <Button
                      aria-label={`Remove the band from ${band.from} × target`}
                      disabled={list.length === 1}
                      onClick={() => onBands({ ...bands, bands: list.filter((_, index) => index !== at) })}
                    >
                      Remove
                    </Button>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Facts>
          <div className="bar">
            <MoneyField
              label="Spent without sales"
              micros={bands.noSales.spend}
              currency={currency}
              step={MICROS_PER_UNIT}
              onMicros={(spend) => onBands({ ...bands, noSales: { ...bands.noSales, spend } })}
            />
            <ShareField
              label="moves it by"
              share={bands.noSales.by}
              least={-0.9}
              onShare={(by) => onBands({ ...bands, noSales: { ...bands.noSales, by } })}
            />
          </div>
          <div className="bar">
            <Button
              onClick={() =>
                onBands({ ...bands, bands: [...list, { from: (list[0]?.from ?? 1) + 0.5, by: -0.3 }] })
              }
            >
              Add a band
            </Button>
            <Button onClick={() => onBands(USUAL_BANDS)}>Reset</Button>
          </div>
          <p className="note">
            A plain rule: it knows neither how sure a target’s figures are nor what the others need. “To the
            wanted bid” knows both.
          </p>
        </div>
      </Popover>
    </>
  );
}

function signedShare(by: number): string {
  return `${by > 0 ? '+' : by < 0 ? '−' : ''}${formatShare(Math.abs(by), 0)}`;
}
