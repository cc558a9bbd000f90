import Button from '@mui/material/Button';
import { useState } from 'react';
import { FIELD_LABELS } from '../../../contract/reportFields';
import type { ImportAnswer } from '../../../contract/api';
import type { ImportsState } from './useImports';

/** Asks which column holds each field that was not recognised; the choice is remembered for these headings. */
export function MappingForm({ imports, answer }: { imports: ImportsState; answer: ImportAnswer }) {
  const start = Object.fromEntries(
    Object.entries(answer.matched).map(([heading, field]) => [field, heading]),
  );
  const [chosen, setChosen] = useState<Record<string, string>>(start);
  const missing = answer.unmatched.filter((field) => !chosen[field]);
  const send = () => {
    const matched: Record<string, string> = Object.fromEntries(
      answer.headings.map((heading) => [heading, '']),
    );
    for (const [field, heading] of Object.entries(chosen)) if (heading) matched[heading] = field;
    void imports.match(answer.importId, matched);
  };
  return (
    <section
      aria-label="Match the columns"
      style={{ border: '1px solid var(--hairline)', borderRadius: 3, padding: 16, marginTop: 12 }}
    >
      <h2 className="serif" style={{ margin: '0 0 8px', fontSize: 16, fontWeight: 500 }}>
        Which column is which?
      </h2>
      <div
        style={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))',
          gap: '8px 18px',
        }}
      >
        {answer.fields
          .map((field) => [field, FIELD_LABELS[field]] as const)
          .map(([field, label]) => (
            <label
              key={field}
              style={{ display: 'grid', gridTemplateColumns: '110px 1fr', alignItems: 'center' }}
            >
              <span className={missing.includes(field) ? 'over' : undefined}>
                {missing.includes(field) ? '▲ ' : ''}
                {label}
              </span>
              <select
                aria-label={`Column for ${label}`}
                value={chosen[field] ?? ''}
                style={{ minWidth: 0, font: 'inherit' }}
                onChange={(event) => setChosen({ ...chosen, [field]: event.target.value })}
              >
                <option value="">
                  {answer.unmatched.includes(field) ? 'Choose …' : 'not in this report'}
                </option>
                {answer.headings.map((heading, at) => (
                  <option key={at} value={heading}>
                    {heading}
                  </option>
                ))}
              </select>
            </label>
          ))}
      </div>
      <p style={{ marginBottom: 0 }}>
        <Button variant="contained" disabled={missing.length > 0} onClick={send}>
          Remember this and import
        </Button>{' '}
        {missing.length > 0 && <span className="faint">Still without a column: {missing.length}</span>}
      </p>
    </section>
  );
}
