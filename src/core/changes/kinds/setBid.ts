import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBid } from '../limits';
import { moved } from './moved';
import type { ChangeSpec } from './spec';

/** Sets the bid of a target. A value that was not known cannot come back. */
export interface SetBid {
  kind: 'set-bid';
  targetId: number;
  from: Micros | null;
  to: Micros;
}

/** Steps of the round that set bids. */
const STEPS = ['dead', 'over', 'grow', 'test'] as const;

const isDown = ({ from, to }: SetBid) => from !== null && to < from;

export const setBid: ChangeSpec<SetBid> = {
  kind: 'set-bid',
  shape: { targetId: 'id', from: 'bid or null', to: 'bid' },
  byRequest: true,
  key: ({ targetId }) => `bid ${targetId}`,
  words: ({ from, to }) => `${moved(from, to)} the bid ${formatMoney(from)} → ${formatMoney(to)}`,
  group: (change) => (isDown(change) ? 'Bids down' : 'Bids up'),
  purpose: (change, step) => STEPS.find((own) => own === step) ?? (isDown(change) ? 'down' : 'up'),
  entities: ({ targetId }) => ({ target: targetId }),
  sets: 'bid',
  makes: null,
  moves: ({ targetId, to }) => ({ what: 'bid', target: targetId, to }),
  value: {
    read: ({ from, to }) => ({ from, to, unit: 'money', isBid: true }),
    write: (change, to) => ({ ...change, to }),
  },
  present: ({ target }) => target?.bid ?? null,
  fromPresent: (change, present) => (typeof present === 'number' ? { ...change, from: present } : change),
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: (change) => (change.from === null ? null : { ...change, from: change.to, to: change.from }),
  check: ({ to }, limits) => checkBid(to, limits),
  needsRunning: true,
  idleWhenPaused: true,
  touches: ({ targetId }) => ({ target: targetId }),
  toMarket: ({ targetId, to }, ids) => {
    const id = ids.target(targetId);
    return id ? { do: 'update', entity: 'targets', id, fields: { bid: to } } : null;
  },
  accepted: ({ targetId, to }) => ({ does: 'set', entity: 'target', id: targetId, values: { bid: to } }),
};
