import { normaliseTerm } from '../matching';
import type { KeywordMatch, NegativeMatch } from '../matching';
import type { State } from '../structure';
import { formatMoney, formatShare } from '../units';
import type { Micros } from '../units';

/** Where an ad can stand. */
export type Placement = 'top' | 'rest' | 'pages';

export const PLACEMENT_LABELS: Record<Placement, string> = {
  top: 'top of search',
  rest: 'rest of search',
  pages: 'product pages',
};

/** Entities that can be paused and resumed. */
export type Pausable = 'campaign' | 'ad-group' | 'target';

/**
 * One change to an account, a frozen value: what is to be done, never how. The app keeps it, the market
 * carries it out, undoing it is another value. `from` is what stood there when it was decided.
 */
export type Change =
  | { kind: 'add-keyword'; adGroupId: number; expression: string; match: KeywordMatch; bid: Micros }
  | { kind: 'add-item-target'; adGroupId: number; expression: string; bid: Micros }
  | {
      kind: 'add-negative';
      campaignId: number;
      adGroupId: number | null;
      match: NegativeMatch;
      expression: string;
    }
  | { kind: 'set-bid'; targetId: number; from: Micros | null; to: Micros }
  | { kind: 'set-state'; entity: Pausable; id: number; from: State; to: 'enabled' | 'paused' }
  | { kind: 'set-budget'; campaignId: number; from: Micros | null; to: Micros }
  | { kind: 'set-modifier'; campaignId: number; placement: Placement; from: number; to: number }
  /** Makes a campaign, an ad group, an ad: the ids are those of our drafts. */
  | { kind: 'add-campaign'; campaignId: number; name: string; budget: Micros }
  | { kind: 'add-ad-group'; adGroupId: number; campaignId: number; name: string; defaultBid: Micros }
  | { kind: 'add-ad'; adGroupId: number; productId: number }
  | { kind: 'archive-place'; entity: 'campaign' | 'ad-group'; id: number }
  | { kind: 'archive-target'; targetId: number }
  | { kind: 'archive-negative'; negativeId: number };

export type ChangeKind = Change['kind'];

/**
 * staged: in the tray. sending: handed to the market, answer not known yet. accepted / refused: the market's
 * answer. withdrawn: taken out of the tray before sending.
 */
export type ChangeState = 'staged' | 'sending' | 'accepted' | 'refused' | 'withdrawn';

/** Two changes with the same key would do the same thing to the same place, or move the same thing to two values. */
export function changeKey(change: Change): string {
  switch (change.kind) {
    case 'add-keyword':
      return `keyword ${change.adGroupId} ${change.match} ${normaliseTerm(change.expression)}`;
    case 'add-item-target':
      return `item ${change.adGroupId} ${normaliseTerm(change.expression)}`;
    case 'add-negative':
      return `negative ${change.adGroupId ?? `campaign ${change.campaignId}`} ${change.match} ${normaliseTerm(change.expression)}`;
    case 'set-bid':
      return `bid ${change.targetId}`;
    case 'set-state':
      return `state ${change.entity} ${change.id}`;
    case 'set-budget':
      return `budget ${change.campaignId}`;
    case 'set-modifier':
      return `modifier ${change.campaignId} ${change.placement}`;
    case 'add-campaign':
      return `campaign ${change.campaignId}`;
    case 'add-ad-group':
      return `ad group ${change.adGroupId}`;
    case 'add-ad':
      return `ad ${change.adGroupId} ${change.productId}`;
    case 'archive-place':
      return `archive ${change.entity} ${change.id}`;
    case 'archive-target':
      return `archive target ${change.targetId}`;
    case 'archive-negative':
      return `archive negative ${change.negativeId}`;
  }
}

/** A change in plain words, without its place. */
export function describeChange(change: Change): string {
  switch (change.kind) {
    case 'add-keyword':
      return `Bid on “${change.expression}” (${change.match})`;
    case 'add-item-target':
      return `Bid on item ${change.expression}`;
    case 'add-negative':
      return `Block “${change.expression}” (${change.match}${change.adGroupId === null ? ', whole campaign' : ''})`;
    case 'set-bid':
      return `${moved(change.from, change.to, 'Raise', 'Lower')} the bid ${formatMoney(change.from)} → ${formatMoney(change.to)}`;
    case 'set-state':
      return change.to === 'paused'
        ? `Pause the ${change.entity.replace('-', ' ')}`
        : `Resume the ${change.entity.replace('-', ' ')}`;
    case 'set-budget':
      return `${moved(change.from, change.to, 'Raise', 'Lower')} the budget ${formatMoney(change.from)} → ${formatMoney(change.to)}`;
    case 'set-modifier':
      return `Modifier at ${PLACEMENT_LABELS[change.placement]} ${formatShare(change.from, 0)} → ${formatShare(change.to, 0)}`;
    case 'add-campaign':
      return `Make the campaign “${change.name}”, ${formatMoney(change.budget)} a day`;
    case 'add-ad-group':
      return `Make the ad group “${change.name}”, bid ${formatMoney(change.defaultBid)}`;
    case 'add-ad':
      return 'Advertise the product there';
    case 'archive-place':
      return `End the ${change.entity.replace('-', ' ')}`;
    case 'archive-target':
      return 'End the target';
    case 'archive-negative':
      return 'Lift the negative';
  }
}

const moved = (from: number | null, to: number, up: string, down: string) =>
  from === null ? 'Set' : to > from ? up : down;
