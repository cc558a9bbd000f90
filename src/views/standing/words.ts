import type { NightTold, RuleInfo } from '../../contract/rules';
import { LEFT } from '../../core/rules';
import type { Rule, RuleRhythm, RuleWork } from '../../core/rules';
import { counted, formatCount } from '../../core/units';

export const WORK_LABELS: Record<RuleWork, string> = {
  dead: 'Dead spend',
  bids: 'Bids',
  negatives: 'Negatives',
  harvest: 'Harvest',
  'new terms': 'New terms',
  'by hand': 'A step by hand',
  placements: 'Placements',
  budgets: 'Budgets',
  hours: 'Hours',
  growth: 'Growth plan',
};

export const WORK_DOES: Record<RuleWork, string> = {
  dead: 'lowers or pauses what was clicked on, sold nothing and is unlikely to',
  bids: 'moves bids toward the target, down and up',
  negatives: 'keeps out search terms that cost and do not sell',
  harvest: 'moves search terms that sell to their home, by the routes',
  'new terms': 'tries terms that are not bid on yet',
  'by hand': 'moves or pauses what meets its conditions',
  placements: 'raises bids where clicks sell better',
  budgets: 'moves money to where the next of it sells most',
  hours: 'follows the hours at which clicks sell',
  growth: 'finds, tunes and grows within a daily budget',
};

/** Works that move bids: steps, floor and cap mean something to them. */
export const movesBids = (work: RuleWork): boolean =>
  ['dead', 'bids', 'by hand', 'placements', 'new terms'].includes(work);

export const DAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

export function rhythmWords(rhythm: RuleRhythm): string {
  switch (rhythm.kind) {
    case 'nightly':
      return 'every night';
    case 'weekdays':
      return [...rhythm.days]
        .sort((a, b) => a - b)
        .map((day) => DAY_NAMES[day - 1])
        .join(', ');
    case 'every':
      return rhythm.days === 1 ? 'every night' : `every ${formatCount(rhythm.days)} nights`;
  }
}

export const asksWords = ({ sends }: Pick<Rule, 'sends'>): string => (sends ? 'sends by itself' : 'asks');

/** What a rule lacks before it may send by itself. */
export const beforeWords = ({
  isTried,
  isPlayed,
  canPlay,
}: Pick<RuleInfo, 'isTried' | 'isPlayed' | 'canPlay'>): string =>
  `Before it may send by itself it has to be ${[...(isTried ? [] : ['tried']), ...(canPlay && !isPlayed ? ['played'] : [])].join(' and ')} as it stands.`;

/** What a night left, and why. */
export const leftWords = ({ leftOut }: Pick<NightTold, 'leftOut'>): string =>
  leftOut
    .map(
      ({ why, count, rules }) =>
        `${formatCount(count)} ${LEFT[why]}${rules.length > 0 ? ` (${rules.join(', ')})` : ''}`,
    )
    .join('; ');

/** What a night came to. */
export const madeWords = ({ made, looked }: Pick<NightTold, 'made' | 'looked'>): string =>
  made === 0 ? `nothing to do in ${formatCount(looked)}` : counted(made, 'change');
