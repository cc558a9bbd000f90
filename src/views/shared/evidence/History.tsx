import { useQuery } from '@tanstack/react-query';
import { describeChange } from '../../../core/changes';
import { lensNamed } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { daysIn, dayNumber, formatDay } from '../../../core/units';
import { api } from '../api';
import { pageLink } from '../frame/pages';
import { PlaceLink } from '../kit';

interface HistoryProps {
  account: number;
  table: LensTable;
  row: number;
  from: string;
  /** The strip of days above, on which the changes are marked. */
  stripFrom: string;
  stripTo: string;
  width: number;
}

const MOST = 6;

/** What was changed on a row, marked below its days and told in words. */
export function History({ account, table, row, from, stripFrom, stripTo, width }: HistoryProps) {
  const column = lensNamed(table.lens).history;
  const of = column && { [column]: table[column][row] };
  const history = useQuery({
    queryKey: ['history', account, from, of],
    queryFn: () => api.history(account, from, of!),
    enabled: of !== null,
  });
  const changes = history.data?.changes ?? [];
  if (of === null) return null;
  const count = daysIn(stripFrom, stripTo);
  const marked = [...new Set(changes.map(({ day }) => day))].filter(
    (day) => day >= stripFrom && day <= stripTo,
  );
  return (
    <>
      {marked.length > 0 && (
        <svg
          width={width}
          height={10}
          role="img"
          aria-label={`Changed on ${marked.map((day) => formatDay(day)).join(', ')}`}
        >
          {marked.map((day) => {
            const x = ((dayNumber(day) - dayNumber(stripFrom) + 0.5) / count) * width;
            return <path key={day} d={`M${x - 4},9 L${x},1 L${x + 4},9 Z`} fill="var(--accent)" />;
          })}
        </svg>
      )}
      {history.data && changes.length === 0 && <p className="note">Not changed here in these days.</p>}
      {changes.slice(0, MOST).map(({ id, day, change, subject, baleId }) => (
        <p className="line" key={id}>
          <span className="faint">{formatDay(day)}</span>{' '}
          {/* A row that holds others tells which of them it was. */}
          {column !== 'targetId' && subject && <strong>{subject}: </strong>}
          {describeChange(change)}{' '}
          {baleId !== null && (
            <PlaceLink href={`${pageLink('ledger', account)}&bale=${baleId}`}>bale {baleId}</PlaceLink>
          )}
        </p>
      ))}
      {changes.length > MOST && <p className="note">and {changes.length - MOST} earlier</p>}
    </>
  );
}
