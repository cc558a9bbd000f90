import type { AccountInfo } from '../../contract/api';
import { Tabs } from '../shared/kit';

export const BUILD_PARTS = ['structure', 'plan', 'ads'] as const;
export type BuildPart = (typeof BUILD_PARTS)[number];

const LABELS: Record<BuildPart, string> = { structure: 'Structure', plan: 'Plans', ads: 'Ads' };

interface BuildTabsProps {
  account: AccountInfo | undefined;
  part: BuildPart;
  onPart: (part: BuildPart) => void;
}

/** The parts of the place: what stands, what is to be made, and what ads show where the market lets that be chosen. */
export function BuildTabs({ account, part, onPart }: BuildTabsProps) {
  const offered = BUILD_PARTS.filter((name) => name !== 'ads' || part === 'ads' || account?.options?.adParts);
  return (
    <Tabs label="Parts of building" value={part} onChange={onPart}>
      {offered.map((name) => ({ name, label: LABELS[name] }))}
    </Tabs>
  );
}
