import type { PlaceProps } from '../shared/frame/place';
import { useUrlState } from '../shared/urlState';
import { Ads } from './ads/Ads';
import { Plans } from './plan/Plans';
import { Structure } from './structure/Structure';
import { BUILD_PARTS } from './BuildTabs';
import type { BuildPart } from './BuildTabs';

/** What campaigns are made of: a product's as a plan, all there are looked through, and what their ads show. */
export function Place(props: PlaceProps) {
  const { values, set } = useUrlState();
  const part: BuildPart = values.has('plan')
    ? 'plan'
    : (BUILD_PARTS.find((one) => one === values.get('part')) ?? 'structure');
  const onPart = (next: BuildPart) =>
    set({ part: next === 'structure' ? null : next, plan: null, kind: null, tab: null, ad: null }, true);
  switch (part) {
    case 'plan':
      return <Plans key={props.account?.id} {...props} onPart={onPart} />;
    case 'ads':
      return <Ads {...props} onPart={onPart} />;
    case 'structure':
      return <Structure {...props} onPart={onPart} />;
  }
}
