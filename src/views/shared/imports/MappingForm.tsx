import Button from '@mui/material/Button';
import { Controller, useForm } from 'react-hook-form';
import type { ImportAnswer } from '../../../contract/api';
import { FIELD_LABELS } from '../../../contract/reportFields';
import { Choice, Field } from '../kit';
import type { Option } from '../kit';
import { HeadingLine } from './HeadingLine';
import { Notation } from './Notation';
import { SummedOver } from './SummedOver';
import type { ImportsState } from './useImports';

/** Asks which column holds each field that was not recognised; the choice is remembered for these headings. */
export function MappingForm({ imports, answer }: { imports: ImportsState; answer: ImportAnswer }) {
  const start: Record<string, string> = Object.fromEntries(answer.fields.map((field) => [field, '']));
  for (const [heading, field] of Object.entries(answer.matched)) start[field] = heading;
  const { control, handleSubmit, watch } = useForm<Record<string, string>>({ defaultValues: start });
  const chosen = watch();
  const missing = answer.unmatched.filter((field) => !chosen[field]);
  const send = handleSubmit((values) => {
    const matched: Record<string, string> = Object.fromEntries(
      answer.headings.map((heading) => [heading, '']),
    );
    for (const [field, heading] of Object.entries(values)) if (heading) matched[heading] = field;
    return imports.match(answer.importId, matched);
  });
  return (
    <form className="framed spaced" aria-label="Match the columns" onSubmit={(event) => void send(event)}>
      <h2 className="pageTitle">Which column is which?</h2>
      <HeadingLine key={answer.importId} imports={imports} answer={answer} />
      {answer.asksPeriod && <SummedOver imports={imports} />}
      <Notation imports={imports} answer={answer} />
      <div className="fields mapping">
        {answer.fields.map((field) => (
          <Field
            key={field}
            label={FIELD_LABELS[field]}
            error={missing.includes(field) ? { message: 'Choose its column.' } : undefined}
          >
            <Controller
              name={field}
              control={control}
              render={({ field: { value, onChange } }) => (
                <Choice
                  label={`Column for ${FIELD_LABELS[field]}`}
                  value={value}
                  onChange={onChange}
                  placeholder={answer.unmatched.includes(field) ? 'Choose …' : 'not in this report'}
                >
                  {[
                    ['', answer.unmatched.includes(field) ? 'Choose …' : 'not in this report'],
                    ...answer.headings.map((heading): Option => [heading, heading]),
                  ]}
                </Choice>
              )}
            />
          </Field>
        ))}
      </div>
      <div className="bar">
        <Button type="submit" variant="contained" disabled={missing.length > 0}>
          Remember this and import
        </Button>
        {missing.length > 0 && <span className="faint">{missing.length} still without a column</span>}
      </div>
    </form>
  );
}
