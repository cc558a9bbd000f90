import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { PAPERS, REPORT_PARTS } from '../../../contract/report';
import type { ChosenPart, Paper, ReportsAnswer } from '../../../contract/report';
import { addDays, daysIn } from '../../../core/units';
import { Check, Choice, DayField, Field, TextBox } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { PartChoice } from './PartChoice';
import { reportLink } from './reportsApi';
import type { ReportsState } from './useReports';

const ALL_PARTS: ChosenPart[] = REPORT_PARTS.map((part) => ({ part, note: '' }));
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const NEVER = 'never';
const NO_TEMPLATE = 'none';

interface ReportFormProps {
  account: AccountInfo;
  answer: ReportsAnswer;
  state: ReportsState;
}

/** Asks for a report of some days, or keeps what is asked for as a template. */
export function ReportForm({ account, answer, state }: ReportFormProps) {
  const { templates, usual } = answer;
  const [days, setDays] = useState(usual);
  const [other, setOther] = useState<{ from: string; to: string } | null>(null);
  const [parts, setParts] = useState(templates[0]?.parts ?? ALL_PARTS);
  const [paper, setPaper] = useState<Paper>(templates[0]?.paper ?? 'A4');
  const [template, setTemplate] = useState<number | null>(templates[0]?.id ?? null);
  const chosen = templates.find(({ id }) => id === template);
  const [name, setName] = useState(chosen?.name ?? '');
  const [weekday, setWeekday] = useState<number | null>(chosen?.weekday ?? null);
  const choose = (id: number | null) => {
    const next = templates.find((one) => one.id === id);
    setTemplate(id);
    setName(next?.name ?? '');
    setWeekday(next?.weekday ?? null);
    setParts(next?.parts ?? ALL_PARTS);
    setPaper(next?.paper ?? 'A4');
    if (next) setDays({ from: addDays(usual.to, 1 - next.days), to: usual.to });
  };
  const length = daysIn(days.from, days.to);
  const make = async () => {
    // Opened while the click still counts as one: a window that opens later is kept back by the browser.
    const sheet = window.open('', '_blank');
    const made = await state.make
      .mutateAsync({
        account: account.id,
        ...days,
        ...(other && { beforeFrom: other.from, beforeTo: other.to }),
        paper,
        parts,
      })
      .catch(() => null);
    if (!sheet) return;
    if (made) sheet.location.href = reportLink(account.id, made.id);
    else sheet.close();
  };
  return (
    <section aria-label="New report">
      <div className="bar">
        <Choice
          label="Template"
          value={template ?? NO_TEMPLATE}
          onChange={(id) => choose(Number(id) || null)}
        >
          {[
            [NO_TEMPLATE, 'all parts'] as Option,
            ...templates.map(({ id, name: words }): Option => [id, words]),
          ]}
        </Choice>
        <DayField label="From" value={days.from} onChange={(from) => setDays({ ...days, from })} />
        <DayField label="To" value={days.to} onChange={(to) => setDays({ ...days, to })} />
        <Check
          isOn={other !== null}
          onChange={(isOn) =>
            setOther(isOn ? { from: addDays(days.from, -length), to: addDays(days.from, -1) } : null)
          }
        >
          against other days than those before
        </Check>
        {other && (
          <>
            <DayField
              label="Against, from"
              value={other.from}
              onChange={(from) => setOther({ ...other, from })}
            />
            <DayField label="Against, to" value={other.to} onChange={(to) => setOther({ ...other, to })} />
          </>
        )}
        <Choice label="Paper" value={paper} onChange={(next) => setPaper(next as Paper)}>
          {PAPERS}
        </Choice>
        <Button
          variant="contained"
          disabled={parts.length === 0 || days.from > days.to || state.make.isPending}
          startIcon={state.make.isPending ? <CircularProgress size={14} /> : undefined}
          onClick={() => void make()}
        >
          {state.make.isPending ? 'Working it out …' : 'Make the report'}
        </Button>
      </div>
      <PartChoice parts={parts} onChange={setParts} />
      <div className="bar">
        <Field label="Keep as template">
          <TextBox
            aria-label="Name of the template"
            placeholder="Weekly, for the owner"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
        </Field>
        <Choice
          label="By itself"
          value={weekday ?? NEVER}
          onChange={(next) => setWeekday(next === NEVER ? null : Number(next))}
        >
          {[[NEVER, 'only when asked'] as Option, ...WEEKDAYS.map((day, at): Option => [at, `every ${day}`])]}
        </Choice>
        <Button
          disabled={name.trim() === '' || parts.length === 0 || length < 1 || length > 92}
          onClick={() =>
            state.keep.mutate({
              ...(chosen && chosen.name === name.trim() && { id: chosen.id }),
              name: name.trim(),
              parts,
              paper,
              days: length,
              weekday,
            })
          }
        >
          Keep
        </Button>
        {chosen && (
          <Button
            onClick={() => {
              state.forget.mutate(chosen.id);
              choose(null);
            }}
          >
            Remove “{chosen.name}”
          </Button>
        )}
      </div>
    </section>
  );
}
