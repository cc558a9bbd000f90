import type { PlaceProps } from '../shared/frame/place';
import { useUrlState } from '../shared/urlState';
import { Plans } from './plan/Plans';
import { Structure } from './structure/Structure';
import type { BuildPart } from './BuildTabs';

/** What campaigns are made of: a product's as a plan, and all there are looked through. */
export function Place(props: PlaceProps) {
  const { values, set } = useUrlState();
  const part: BuildPart = values.get('part') === 'plan' || values.has('plan') ? 'plan' : 'structure';
  const setPart = (next: BuildPart) =>
    set({ part: next === 'plan' ? 'plan' : null, plan: null, kind: null, tab: null }, true);
  return part === 'plan' ? (
    <Plans key={props.account?.id} {...props} onPart={setPart} />
  ) : (
    <Structure {...props} onPart={setPart} />
  );
}
