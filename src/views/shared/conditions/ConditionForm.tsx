import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { CHOICES, isChoiceKey, numberField, readAnyOf, TEXT_LABELS } from '../../../core/conditions';
import type { AnyOf, Condition, NumberKey } from '../../../core/conditions';
import { labelOf, OPS, opsOf, typedValue } from './words';
import type { FieldsOffered, Op } from './words';
import { Choice, TextBox } from '../kit';
import type { Option } from '../kit';

interface ConditionFormProps {
  fields: FieldsOffered;
  start: AnyOf | null;
  onKeep: (group: AnyOf) => void;
}

interface Draft {
  field: string;
  op: Op;
  text: string;
}

const draftOf = (one: Condition): Draft => ({ field: one.field, op: one.op, text: typedValue(one) });

/** One condition, or several of which one is enough. */
export function ConditionForm({ fields, start, onKeep }: ConditionFormProps) {
  const [drafts, setDrafts] = useState<Draft[]>(
    start ? start.map(draftOf) : [{ field: fields.numbers[1] ?? fields.numbers[0], op: 'atLeast', text: '' }],
  );
  const [fault, setFault] = useState('');
  const change = (at: number, set: Partial<Draft>) =>
    setDrafts(drafts.map((draft, other) => (other === at ? { ...draft, ...set } : draft)));
  const choose = (at: number, field: string) => {
    const [op] = opsOf(field);
    const isOther = !opsOf(drafts[at].field).includes(op);
    const text = isChoiceKey(field) ? CHOICES[field].values[0] : isOther ? '' : drafts[at].text;
    change(at, { field, op: isOther ? op : drafts[at].op, text });
  };
  const keep = () => {
    const group = drafts.flatMap(
      ({ field, op, text }) =>
        // Someone quick may type whole conditions: "acos<=24|orders>=2".
        readAnyOf(text) ?? readAnyOf(written(field, op, text)) ?? [null],
    );
    if (group.includes(null))
      return setFault(
        drafts.some(({ field }) => field in TEXT_LABELS)
          ? 'Type a part of the text.'
          : drafts.some(({ op }) => op === 'between')
            ? 'Type two numbers, for instance 10 to 24.'
            : 'Type a number, for instance 10 or 0.45.',
      );
    onKeep(group as Condition[]);
  };
  return (
    <Box
      component="form"
      sx={{ padding: '12px', display: 'grid', gap: '8px' }}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      {drafts.map((draft, at) => (
        <div className="bar" key={at}>
          {at > 0 && <span className="faint">or</span>}
          <Choice label="Field" value={draft.field} onChange={(field) => choose(at, field)} width={170}>
            {[...fields.numbers, ...fields.choices, ...fields.texts].map((key): Option => [
              key,
              labelOf(key),
            ])}
          </Choice>
          <Choice label="Comparison" value={draft.op} onChange={(next) => change(at, { op: next as Op })}>
            {opsOf(draft.field).map((op): Option => [op, OPS[op].word])}
          </Choice>
          {draft.op !== 'none' && (
            <ValueInput draft={draft} isFirst={at === 0} onText={(text) => change(at, { text })} />
          )}
        </div>
      ))}
      <div className="bar">
        <Button type="submit" variant="contained">
          Set
        </Button>
        <Button
          onClick={() => setDrafts([...drafts, { ...drafts[drafts.length - 1], text: '' }])}
          title="A row that meets either is kept"
        >
          or …
        </Button>
        {fault && (
          <span role="alert" className="over">
            {fault}
          </span>
        )}
      </div>
    </Box>
  );
}

/** A draft as a link writes it. */
function written(field: string, op: Op, text: string): string {
  if (op === 'none') return `${field}=none`;
  // Two ends need two numbers; one has none.
  const isPair = /\d\s*(\.\.|–| to )\s*\d/.test(text);
  if ((op === 'between') !== isPair && !(field in TEXT_LABELS) && !isChoiceKey(field)) return '';
  return `${field}${OPS[op].sign}${text.replaceAll('|', '%7C')}`;
}

const UNITS = { money: 'in the account’s currency', share: 'in %', count: '', factor: '×' };

function ValueInput({
  draft: { field, op, text },
  isFirst,
  onText,
}: {
  draft: Draft;
  isFirst: boolean;
  onText: (text: string) => void;
}) {
  if (isChoiceKey(field))
    return (
      <Choice label="Value" value={text} onChange={(next) => onText(next)}>
        {CHOICES[field].values.map((choice) => choice)}
      </Choice>
    );
  const unit = field in TEXT_LABELS ? '' : UNITS[numberField(field as NumberKey).unit];
  return (
    <>
      <TextBox
        aria-label="Value"
        autoFocus={isFirst}
        value={text}
        letters={field in TEXT_LABELS ? 22 : op === 'between' ? 12 : 8}
        placeholder={op === 'between' ? '10 to 24' : undefined}
        onChange={(event) => onText(event.target.value)}
      />
      <span className="faint">{unit}</span>
    </>
  );
}
