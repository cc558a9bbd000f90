import type { ChangeInfo } from '../../src/contract/changes';

/** A staged change; what a test does not name is unremarkable. */
export const aChangeInfo = (over: Partial<ChangeInfo> = {}): ChangeInfo => ({
  id: 7,
  change: { kind: 'add-keyword', adGroupId: 12, expression: 'jar, glass', match: 'exact', bid: 520_000 },
  state: 'staged',
  campaignId: 3,
  campaign: 'Weights – exact',
  adGroupId: 12,
  adGroup: 'exact',
  subject: null,
  present: null,
  runs: true,
  afterId: null,
  undoesId: null,
  reason: 'Said "often" sold',
  figures: {},
  carries: {},
  effect: { spend: 0, sales: 0 },
  baleId: null,
  answerCode: null,
  answer: null,
  undoable: false,
  stagedAt: '2026-11-23T10:00:00.000Z',
  by: 'this machine',
  answeredAt: null,
  ...over,
});
