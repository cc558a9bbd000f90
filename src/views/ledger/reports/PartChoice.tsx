import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import IconButton from '@mui/material/IconButton';
import { PART_TITLES, REPORT_PARTS } from '../../../contract/report';
import type { ChosenPart, ReportPartKey } from '../../../contract/report';
import { Check, TextBox } from '../../shared/kit';

interface PartChoiceProps {
  parts: readonly ChosenPart[];
  onChange: (parts: ChosenPart[]) => void;
}

/** Which parts a report has, in what order, each with a note of one's own on top. */
export function PartChoice({ parts, onChange }: PartChoiceProps) {
  const missing = REPORT_PARTS.filter((key) => !parts.some(({ part }) => part === key));
  const swap = (at: number, by: 1 | -1) => {
    const next = [...parts];
    [next[at], next[at + by]] = [next[at + by], next[at]];
    onChange(next);
  };
  const note = (key: ReportPartKey, words: string) =>
    onChange(parts.map((one) => (one.part === key ? { ...one, note: words } : one)));
  return (
    <ol className="reportParts" aria-label="Parts of the report">
      {parts.map(({ part, note: words }, at) => (
        <li key={part}>
          <Check isOn onChange={() => onChange(parts.filter((one) => one.part !== part))}>
            {PART_TITLES[part]}
          </Check>
          <TextBox
            aria-label={`Note on ${PART_TITLES[part]}`}
            placeholder="a note of your own on top"
            value={words}
            maxLength={2000}
            onChange={(event) => note(part, event.target.value)}
          />
          <IconButton aria-label={`${PART_TITLES[part]} up`} disabled={at === 0} onClick={() => swap(at, -1)}>
            <ArrowUpward fontSize="small" />
          </IconButton>
          <IconButton
            aria-label={`${PART_TITLES[part]} down`}
            disabled={at === parts.length - 1}
            onClick={() => swap(at, 1)}
          >
            <ArrowDownward fontSize="small" />
          </IconButton>
        </li>
      ))}
      {missing.map((part) => (
        <li key={part}>
          <Check isOn={false} onChange={() => onChange([...parts, { part, note: '' }])}>
            {PART_TITLES[part]}
          </Check>
        </li>
      ))}
    </ol>
  );
}
