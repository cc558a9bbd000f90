import { lensNamed } from '../../../core/lenses';
import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { formatCount } from '../../../core/units';
import type { FieldEngine } from '../fieldEngine/fieldEngine';
import type { LoadedLens } from '../../../plans/field';

interface SameElsewhereProps {
  engine: Remote<FieldEngine>;
  loaded: LoadedLens;
  row: number;
  onRow: (row: number) => void;
}

/** Where else the same words or the same item run. */
export function SameElsewhere({ engine, loaded, row, onRow }: SameElsewhereProps) {
  const { lens } = loaded.table;
  const { hasWords } = lensNamed(lens);
  const isResting = useResting(row);
  const { data } = useQuery({
    queryKey: ['elsewhere', loaded.loadId, row],
    queryFn: () => engine.elsewhere(loaded.loadId, row),
    enabled: hasWords && isResting,
    gcTime: 0,
  });
  if (!hasWords || !data) return null;
  return (
    <>
      <h3 style={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>The same elsewhere</h3>
      {data.length === 0 ? (
        <p className="faint" style={{ margin: 0 }}>
          Nowhere else in the account.
        </p>
      ) : (
        <table className="plain" style={{ fontSize: 12.5 }}>
          <thead>
            <tr>
              <th>Where</th>
              <th className="figure">Clicks</th>
              <th className="figure">Orders</th>
            </tr>
          </thead>
          <tbody>
            {data.map((other) => (
              <tr key={other.row}>
                <td>
                  <button type="button" className="link" onClick={() => onRow(other.row)}>
                    {other.place}
                  </button>{' '}
                  <span className="faint">{other.kind}</span>
                </td>
                <td className="figure">{formatCount(other.clicks)}</td>
                <td className="figure">{formatCount(other.orders)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

const REST_MS = 200;

/** Whether the focus has stayed on a row: one that only passes must not keep the worker from the next rows. */
function useResting(row: number): boolean {
  const [rested, setRested] = useState<number | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setRested(row), REST_MS);
    return () => clearTimeout(timer);
  }, [row]);
  return rested === row;
}
