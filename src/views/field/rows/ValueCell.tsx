import ButtonBase from '@mui/material/ButtonBase';
import { lensNamed } from '../../../core/lenses';
import { formatOnStep, formatShare } from '../../../core/units';
import { BidCell } from '../../shared/BidCell';
import { isRecent, limitsOf, stagedValue, valueChange } from '../../../plans/byHand';
import type { ColumnsOf } from './columnsOf';

/** Bid, budget or modifier of a row: edited in place, with what is staged and how new its last change is. */
export function ValueCell({
  table,
  row,
  limits,
  staged,
  editing,
  onEditing,
  onValue,
}: ColumnsOf & { row: number }) {
  const now = table.value[row];
  const to = stagedValue(staged, table, row);
  const isShare = lensNamed(table.lens).value === 'modifier';
  const { step } = limitsOf(table.lens, limits);
  const show = (value: number) => (isShare ? `+${formatShare(value, 0)}` : formatOnStep(value, step));
  const isFixed = lensNamed(table.lens).value === 'bid' && limits.minBid === limits.maxBid;
  const isSettable = !isFixed && valueChange(table, row, 0) !== null && table.state[row] !== 2;
  const isEditing = editing === row;
  if (isEditing && isSettable)
    return (
      <BidCell
        bid={to ?? (Number.isNaN(now) ? 0 : now)}
        step={step}
        isShare={isShare}
        isEditing
        onEdit={() => {}}
        onDone={(value) => {
          onEditing(null);
          if (value !== null) onValue(row, value);
        }}
      />
    );
  const text = Number.isNaN(now) ? '–' : show(now);
  if (!isSettable) return <span className="faint">{text}</span>;
  return (
    <ButtonBase
      className="editable"
      onClick={() => onEditing(row)}
      title={
        table.isInherited[row]
          ? 'The ad group’s default bid; a bid of its own would take its place. Edit (e)'
          : 'Edit (e)'
      }
    >
      {isRecent(table, row) && (
        <span className="faint" title={`Changed ${table.age[row]} days ago: too new to judge`}>
          ◷{table.age[row]}{' '}
        </span>
      )}
      {to === undefined ? (
        <span className={table.isInherited[row] ? 'dotted inherited' : 'dotted'}>{text}</span>
      ) : (
        <>
          <span className="faint">{text} → </span>
          <strong>{show(to)}</strong>
        </>
      )}
    </ButtonBase>
  );
}
