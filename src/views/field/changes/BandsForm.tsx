import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { AcosBands } from '../../../core/changes';
import { formatShare, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import { NumberField } from '../../shared/NumberField';
import { USUAL_BANDS } from '../../../plans/byHand';

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
        <div role="group" aria-label="ACOS bands" style={{ padding: 14, maxWidth: 380 }}>
          <table className="plain">
            <thead>
              <tr>
                <th>ACOS from × target</th>
                <th>% of the bid</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {list.map((band, at) => (
                <tr key={at}>
                  <td>
                    <NumberField
                      label="× target and above"
                      value={band.from}
                      min={0}
                      step={0.05}
                      onChange={(from) => put(at, { ...band, from })}
                    />
                  </td>
                  <td>
                    <NumberField
                      label="%"
                      value={band.by * 100}
                      min={-90}
                      step={1}
                      onChange={(by) => put(at, { ...band, by: by / 100 })}
                    />
                  </td>
                  <td>
                    <Button
                      aria-label={`Remove the band from ${band.from} × target`}
                      disabled={list.length === 1}
                      onClick={() => onBands({ ...bands, bands: list.filter((_, index) => index !== at) })}
                    >
                      Remove
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="bar" style={{ margin: '8px 0' }}>
            <NumberField
              label={`${currency} spent without sales:`}
              value={bands.noSales.spend / MICROS_PER_UNIT}
              min={0}
              step={1}
              onChange={(spend) =>
                onBands({ ...bands, noSales: { ...bands.noSales, spend: toMicros(spend) } })
              }
            />
            <NumberField
              label="%, without sales"
              value={bands.noSales.by * 100}
              min={-90}
              step={1}
              onChange={(by) => onBands({ ...bands, noSales: { ...bands.noSales, by: by / 100 } })}
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
            <Button onClick={() => onBands(USUAL_BANDS)}>As at first</Button>
          </div>
          <p className="faint" style={{ margin: '6px 0 0', fontSize: 12.5 }}>
            A plain rule, for those who want it: it knows neither how sure a target’s figures are nor what the
            others need. “To the wanted bid” does.
          </p>
        </div>
      </Popover>
    </>
  );
}

function signedShare(by: number): string {
  return `${by > 0 ? '+' : by < 0 ? '−' : ''}${formatShare(Math.abs(by), 0)}`;
}
