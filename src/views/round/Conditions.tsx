import Add from '@mui/icons-material/Add';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import { isTextCondition, readCondition, shownScale, writeCondition } from '../../core/conditions';
import type { Condition } from '../../core/conditions';
import { measure, MEASURES } from '../../core/measures';
import type { MeasureKey } from '../../core/measures';

interface ConditionsProps {
  conditions: Condition[];
  onChange: (conditions: Condition[]) => void;
  /** Told by the view when the key for a new condition is pressed. */
  isAdding: boolean;
  onAdding: (isAdding: boolean) => void;
  brushed: number | null;
  onClearBrush: () => void;
}

const TEXT_FIELDS = { term: 'Search term', place: 'Campaign or ad group' } as const;

/** A condition in words: "Clicks ≥ 10". */
function words(condition: Condition): string {
  if (isTextCondition(condition))
    return `${TEXT_FIELDS[condition.field]} ${condition.op === 'holds' ? 'holds' : 'lacks'} “${condition.text}”`;
  const { label, unit } = measure(condition.field);
  const shown = Number((condition.value / shownScale(condition.field)).toPrecision(8));
  return `${label} ${condition.op === 'atLeast' ? '≥' : '≤'} ${shown}${unit === 'share' ? ' %' : ''}`;
}

/** Conditions that all have to hold, as chips that are edited in place. */
export function Conditions({
  conditions,
  onChange,
  isAdding,
  onAdding,
  brushed,
  onClearBrush,
}: ConditionsProps) {
  const [edited, setEdited] = useState<number | null>(null);
  const anchor = useRef<HTMLDivElement>(null);
  const close = () => {
    setEdited(null);
    onAdding(false);
  };
  const keep = (condition: Condition) => {
    onChange(
      edited === null
        ? [...conditions, condition]
        : conditions.map((one, at) => (at === edited ? condition : one)),
    );
    close();
  };
  return (
    <div
      ref={anchor}
      style={{ display: 'flex', gap: 6, flexWrap: 'wrap', padding: '0 16px 6px', alignItems: 'center' }}
      aria-label="Conditions"
    >
      {conditions.map((condition, at) => (
        <Chip
          key={writeCondition(condition)}
          size="small"
          variant="outlined"
          label={words(condition)}
          onClick={() => setEdited(at)}
          onDelete={() => onChange(conditions.filter((_, other) => other !== at))}
        />
      ))}
      {brushed !== null && (
        <Chip
          size="small"
          color="primary"
          label={`In the brushed area: ${brushed}`}
          onDelete={onClearBrush}
        />
      )}
      <Button startIcon={<Add />} onClick={() => onAdding(true)} title="s" sx={{ padding: '0 6px' }}>
        Condition
      </Button>
      {conditions.length > 1 && (
        <Button onClick={() => onChange([])} sx={{ padding: '0 6px' }}>
          Clear all
        </Button>
      )}
      <Popover
        disableRestoreFocus
        transitionDuration={0}
        open={isAdding || edited !== null}
        onClose={close}
        anchorEl={() => anchor.current!}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <ConditionForm start={edited === null ? null : conditions[edited]} onKeep={keep} />
      </Popover>
    </div>
  );
}

function ConditionForm({
  start,
  onKeep,
}: {
  start: Condition | null;
  onKeep: (condition: Condition) => void;
}) {
  const isText = start !== null && isTextCondition(start);
  const [field, setField] = useState<string>(start?.field ?? 'clicks');
  const [op, setOp] = useState<string>(start?.op ?? 'atLeast');
  const [text, setText] = useState(
    start === null
      ? ''
      : isText
        ? start.text
        : String(
            Number(
              ((start as { value: number }).value / shownScale(start.field as MeasureKey)).toPrecision(8),
            ),
          ),
  );
  const [fault, setFault] = useState('');
  const onText = field in TEXT_FIELDS;
  const keep = () => {
    const sign = { atLeast: '>=', atMost: '<=', holds: '~', lacks: '!~' }[op]!;
    // Someone quick may type the whole condition: "acos<=24".
    const condition = readCondition(text) ?? readCondition(`${field}${sign}${text}`);
    if (condition) onKeep(condition);
    else setFault(onText ? 'Type a part of the text.' : 'Type a number, for instance 10 or 0.45.');
  };
  const choose = (next: string) => {
    setField(next);
    if (next in TEXT_FIELDS !== onText) setOp(next in TEXT_FIELDS ? 'holds' : 'atLeast');
  };
  const unit = onText
    ? ''
    : { money: 'in the account’s currency', share: 'in %', count: '', factor: '' }[
        measure(field as MeasureKey).unit
      ];
  return (
    <form
      style={{ padding: 12, display: 'flex', gap: 8, alignItems: 'center' }}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <select aria-label="Field" value={field} onChange={(event) => choose(event.target.value)}>
        {MEASURES.map(({ key, label }) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
        {Object.entries(TEXT_FIELDS).map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
      <select aria-label="Comparison" value={op} onChange={(event) => setOp(event.target.value)}>
        {(onText
          ? [
              ['holds', 'holds'],
              ['lacks', 'lacks'],
            ]
          : [
              ['atLeast', 'at least'],
              ['atMost', 'at most'],
            ]
        ).map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
      <input
        aria-label="Value"
        autoFocus
        value={text}
        onChange={(event) => setText(event.target.value)}
        style={{ width: 110 }}
      />
      <span className="faint">{unit}</span>
      <Button type="submit" variant="contained">
        {start === null ? 'Stack' : 'Change'}
      </Button>
      {fault !== '' && (
        <span role="alert" className="over">
          {fault}
        </span>
      )}
    </form>
  );
}
