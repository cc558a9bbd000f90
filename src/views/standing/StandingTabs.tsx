import { Tabs } from '../shared/kit';

export type StandingPart = 'rules' | 'growth' | 'tests' | 'nights';

/** What every part of the place is given. */
export interface OnPart {
  onPart: (part: StandingPart) => void;
}

const PARTS = [
  { name: 'rules', label: 'Rules', keys: '1' },
  { name: 'growth', label: 'Growth', keys: '2' },
  { name: 'tests', label: 'Tests', keys: '3' },
  { name: 'nights', label: 'Nights', keys: '4' },
] as const;

/** The parts of the place. */
export function StandingTabs({ part, onPart }: { part: StandingPart } & OnPart) {
  return (
    <Tabs label="Parts of standing work" value={part} onChange={onPart}>
      {PARTS}
    </Tabs>
  );
}
