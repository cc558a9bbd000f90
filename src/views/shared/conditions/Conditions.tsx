import Add from '@mui/icons-material/Add';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { writeAnyOf } from '../../../core/conditions';
import type { AnyOf, Stack } from '../../../core/conditions';
import { ConditionForm } from './ConditionForm';
import { wordsOfAny } from './words';
import type { FieldsOffered } from './words';

interface ConditionsProps {
  fields: FieldsOffered;
  conditions: Stack;
  onChange: (conditions: Stack) => void;
  /** Told by the view when the key for a new condition is pressed. */
  isAdding: boolean;
  onAdding: (isAdding: boolean) => void;
  /** Rows in the brushed area; null: none is brushed, or it is told elsewhere. */
  brushed: number | null;
  onClearBrush?: () => void;
  /** The button for a new condition stands elsewhere: without conditions there is nothing to see here. */
  isQuiet?: boolean;
  /** What stands before the chips and behind them. */
  before?: ReactNode;
  after?: ReactNode;
}

/** Conditions that all have to hold, as chips that are edited in place. */
export function Conditions(props: ConditionsProps) {
  const { fields, conditions, onChange, isAdding, onAdding, brushed, onClearBrush } = props;
  const [edited, setEdited] = useState<number | null>(null);
  const anchor = useRef<HTMLDivElement>(null);
  const close = () => {
    setEdited(null);
    onAdding(false);
  };
  const keep = (group: AnyOf) => {
    onChange(
      edited === null ? [...conditions, group] : conditions.map((one, at) => (at === edited ? group : one)),
    );
    close();
  };
  const isEmpty = props.isQuiet && conditions.length === 0 && brushed === null;
  return (
    <div ref={anchor} className={isEmpty ? undefined : 'bar conditions'} role="group" aria-label="Conditions">
      {props.before}
      {conditions.map((group, at) => (
        <Chip
          key={`${at} ${writeAnyOf(group)}`}
          size="small"
          variant="outlined"
          label={wordsOfAny(group)}
          onClick={() => setEdited(at)}
          onDelete={() => onChange(conditions.filter((_, other) => other !== at))}
        />
      ))}
      {brushed !== null && <BrushedChip count={brushed} onClear={() => onClearBrush?.()} />}
      {!props.isQuiet && <AddCondition onClick={() => onAdding(true)} />}
      {conditions.length > 1 && <Button onClick={() => onChange([])}>Clear all</Button>}
      {props.after}
      <Popover
        disableRestoreFocus
        transitionDuration={0}
        open={isAdding || edited !== null}
        onClose={close}
        anchorEl={() => anchor.current!}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <ConditionForm
          fields={fields}
          start={edited === null ? null : (conditions[edited] ?? null)}
          onKeep={keep}
        />
      </Popover>
    </div>
  );
}

/** That only the rows of a brushed area are shown. */
export function BrushedChip({ count, onClear }: { count: number; onClear: () => void }) {
  return <Chip size="small" color="primary" label={`In the brushed area: ${count}`} onDelete={onClear} />;
}

/** Begins a new condition. */
export function AddCondition({ onClick }: { onClick: () => void }) {
  return (
    <Button startIcon={<Add />} onClick={onClick} title="Stack a condition (s)">
      Condition
    </Button>
  );
}
