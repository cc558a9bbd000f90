import { Tabs } from '../shared/kit';

export type BuildPart = 'plan' | 'structure';

const PARTS = [
  { name: 'structure', label: 'Structure' },
  { name: 'plan', label: 'Plans' },
] as const;

/** The two parts of the place: what stands, and what is to be made. */
export function BuildTabs({ part, onPart }: { part: BuildPart; onPart: (part: BuildPart) => void }) {
  return (
    <Tabs label="Parts of building" value={part} onChange={onPart}>
      {PARTS}
    </Tabs>
  );
}
