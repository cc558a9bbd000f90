import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { lensNamed } from '../../../core/lenses';
import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { formatCount } from '../../../core/units';
import type { FieldEngine } from '../fieldEngine/fieldEngine';
import type { LoadedLens } from '../../../plans/field';
import { Facts } from '../kit';

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
      <Box component="h3" sx={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>
        The same elsewhere
      </Box>
      {data.length === 0 ? (
        <p className="note">It runs nowhere else in the account.</p>
      ) : (
        <Facts sx={{ fontSize: 12.5 }}>
          <TableHead>
            <TableRow>
              <TableCell>Where</TableCell>
              <TableCell className="figure">Clicks</TableCell>
              <TableCell className="figure">Orders</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {data.map((other) => (
              <TableRow key={other.row}>
                <TableCell>
                  <Button variant="link" onClick={() => onRow(other.row)}>
                    {other.place}
                  </Button>{' '}
                  <span className="faint">{other.kind}</span>
                </TableCell>
                <TableCell className="figure">{formatCount(other.clicks)}</TableCell>
                <TableCell className="figure">{formatCount(other.orders)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
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
