import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { describeChange } from '../../../core/changes';
import type { Conflict } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import type { TrayState } from './useTray';

/** Shown at first. */
const MOST = 6;

/** What does not go together among the staged changes, each with its ways out; a kind can be solved at once. */
export function Conflicts({ tray }: { tray: TrayState }) {
  const { conflicts, changes } = tray;
  const [isAll, setAll] = useState(false);
  if (conflicts.length === 0) return null;
  const byId = new Map(changes.map((one) => [one.id, one]));
  const shown = isAll ? conflicts : conflicts.slice(0, MOST);
  return (
    <section className="framed" aria-label="Conflicts">
      <strong className="over">
        ▲ {formatCount(conflicts.length)} {conflicts.length === 1 ? 'conflict' : 'conflicts'}
      </strong>
      <span className="faint"> · you can send them, but they do not go together</span>
      {shown.map((one) => {
        const first = byId.get(one.ids[0]);
        return (
          <Box key={`${one.kind} ${one.ids.join(' ')}`} className="bar" sx={{ minHeight: 26 }}>
            <Box component="span" sx={{ flex: 1, minWidth: 0 }}>
              {first && (
                <span className="faint">
                  {first.campaign}
                  {first.adGroup ? ` › ${first.adGroup}` : ''}
                  {first.subject ? ` › ${first.subject}` : ''}:{' '}
                </span>
              )}
              {one.sentence}
            </Box>
            {one.ways.map((way) => (
              <Button
                key={way.words}
                onClick={() => solve(tray, [one], way.words)}
                aria-label={`${way.words}: ${first ? describeChange(first.change) : ''}`}
              >
                {way.words}
              </Button>
            ))}
          </Box>
        );
      })}
      {conflicts.length > MOST && (
        <Button onClick={() => setAll(!isAll)}>
          {isAll ? 'Fewer' : `${formatCount(conflicts.length - MOST)} more`}
        </Button>
      )}
      {conflicts.length > 1 && (
        <Button
          onClick={() =>
            tray.withdraw.mutate([
              ...new Set(conflicts.flatMap(({ ways }) => ways.find(({ does }) => does === 'take-out')!.ids)),
            ])
          }
        >
          Take out what stands in the way
        </Button>
      )}
    </section>
  );
}

function solve(tray: TrayState, conflicts: Conflict[], words: string) {
  for (const { ways } of conflicts) {
    const way = ways.find((one) => one.words === words);
    if (way?.does === 'take-out') tray.withdraw.mutate(way.ids);
    if (way?.does === 'from-present') tray.goFromPresent.mutate(way.ids);
  }
}
