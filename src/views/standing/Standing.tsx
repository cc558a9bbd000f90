import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { useKeys } from '../shared/useKeys';
import { useUrlState } from '../shared/urlState';
import { Growth } from './growth/Growth';
import { Nights } from './nights/Nights';
import { Tests } from './tests/Tests';
import { Rules } from './rules/Rules';
import type { StandingPart } from './StandingTabs';

const KEYS: readonly KeyLine[] = [
  ['1 2 3 4', 'rules; growth plans; tests; nights'],
  ['j k', 'the next rule or plan; the one before'],
  ['o', 'switch it on or off'],
  ['y p', 'try it on the past; play it ahead'],
];

const PARTS = ['rules', 'growth', 'tests', 'nights'] as const satisfies readonly StandingPart[];
const VIEWS = { rules: Rules, growth: Growth, tests: Tests, nights: Nights };

/** What is done by night without being asked each time, and what each night did. */
export function Place(props: PlaceProps) {
  const { values, set } = useUrlState();
  const part = PARTS.find((one) => one === values.get('part')) ?? 'rules';
  const onPart = (next: StandingPart) =>
    set({ part: next === 'rules' ? null : next, rule: null, of: null }, true);
  useOffer(KEYS);
  useKeys({
    1: () => onPart('rules'),
    2: () => onPart('growth'),
    3: () => onPart('tests'),
    4: () => onPart('nights'),
  });
  const Part = VIEWS[part];
  return <Part {...props} onPart={onPart} />;
}
