import { kindReader, matchForm } from '../../../core/matching';
import { checkWords } from '../../../core/changes';
import { testRoom, USUAL_SETTINGS } from '../../../core/bids';
import type { TestRoom } from '../../../core/bids';
import { groupBy } from '../../../core/order';
import { newTermReason, pickTerms, testOfTerm } from '../../../core/rules';
import type { NewTermsRule, Rule, TermFound, TermTest } from '../../../core/rules';
import { isInScope } from '../../../core/structure';
import type { AdGroupNode, Place, Target, TreeIndex } from '../../../core/structure';
import { addDays, DAYS_PER_MONTH, roundDownToStep } from '../../../core/units';
import type { AccountRow } from '../../../db/queries/accounts';
import { listTestCosts } from '../../../db/queries/bidFeed';
import { accountInfo, needAccount } from '../../accounts/accounts';
import { todayOf } from '../../accounts/today';
import { loadBackground } from '../../build/background';
import type { Background } from '../../build/background';
import { freshPlan } from '../../build/plans';
import { loadSource } from '../../build/sources';
import { db, log } from '../../context/context';
import { ruleReader } from '../ruleReader';
import type { FoundWanted, RuleWanted } from '../stepWanted';

/** The ad group of a product in the rule's scope that new terms go into. */
interface Home {
  adGroup: AdGroupNode;
  place: Place;
}

/**
 * Terms that a rule wants to try: what the market suggests, and what sold in the product's other campaigns, where no keyword of the product
 * bids on it yet and nothing keeps it out; as many as the testing allowance has room for.
 */
export async function newTermsWanted(accountId: number, rule: Rule): Promise<FoundWanted> {
  const account = await needAccount(accountId);
  const background = await loadBackground(account);
  const { index } = background;
  const isIn = await ruleReader(accountId, rule);
  const asks = rule.newTerms!;
  const homes = homesOf(index, asks.match, (adGroup, place) =>
    isIn({ kind: 'ad-group', id: adGroup.id, place }),
  );
  const room = await roomFor(account, background);
  const keywords = groupBy(
    index.tree.targets.filter(({ kind, state }) => kind === 'keyword' && state !== 'archived'),
    ({ id }) => index.placeOfTarget(id).productId,
  );
  const wanted: RuleWanted[] = [];
  for (const [productId, home] of homes) {
    const test = testIn(account, background, productId, rule);
    if (test === null) continue;
    const own = keywords.get(productId) ?? [];
    const found = await termsFound(account, background, { productId, home, own }, asks);
    const picked = pickTerms(found, asks.most, () => room.take(home.place, test.cost));
    for (const { term, hasRoom } of picked)
      wanted.push({ ...wantedOf(term, test, asks, home, index), isBeyondAllowance: !hasRoom });
  }
  return { looked: homes.size, wanted };
}

/** Of each product the running ad group with the most running keywords of a match. */
function homesOf(
  index: TreeIndex,
  match: NewTermsRule['match'],
  isIn: (adGroup: AdGroupNode, place: Place) => boolean,
): Map<number, Home> {
  const targets = groupBy(index.tree.targets, ({ adGroupId }) => adGroupId);
  const best = new Map<number, Home & { size: number }>();
  for (const adGroup of index.tree.adGroups) {
    const { id, campaignId, productId, state } = adGroup;
    if (productId === null || state !== 'enabled' || !index.campaignRuns(campaignId)) continue;
    const size = (targets.get(id) ?? []).filter(
      (one) => one.match === match && one.state === 'enabled',
    ).length;
    const place = index.placeOfAdGroup(id);
    if (size > (best.get(productId)?.size ?? 0) && isIn(adGroup, place))
      best.set(productId, { adGroup, place, size });
  }
  return best;
}

/** What tests may still cost: the account's allowance and those of its parts, less what the tests of the last month took. */
async function roomFor(account: AccountRow, { index, likes }: Background): Promise<TestRoom<Place>> {
  const { bids } = accountInfo(account).choices;
  const costs = await listTestCosts(db(), account.id, addDays(todayOf(account), -Math.round(DAYS_PER_MONTH)));
  const usual = USUAL_SETTINGS.testing.share * likes.reduce((sum, { spend }) => sum + spend, 0);
  const used = (has: (place: Place) => boolean) =>
    costs.reduce((sum, { targetId, cost }) => sum + (has(index.placeOfTarget(targetId)) ? cost : 0), 0);
  return testRoom(
    (bids.testCap ?? usual) - used(() => true),
    bids.testCaps.map(({ kind, id, cap }) => {
      const has = (place: Place) => isInScope(kind, id, place);
      return { has, room: cap - used(has) };
    }),
  );
}

/** What it takes to test a term of a product, at the bid that its like are worth; null where no order tells its conversion. */
function testIn(
  account: AccountRow,
  background: Background,
  productId: number,
  { bid: { low, high }, newTerms }: Rule,
): TermTest | null {
  const { minBid, maxBid, bidStep } = account.limits;
  const { parts } = freshPlan(account, background, productId);
  const bid = Math.min(
    high ?? maxBid,
    Math.max(low ?? minBid, minBid, roundDownToStep(parts[newTerms!.match].bid, bidStep)),
  );
  const own = background.likes.filter((one) => one.productId === productId);
  const sum = (of: 'clicks' | 'orders') => own.reduce((all, one) => all + one[of], 0);
  const conversion = sum('clicks') > 0 ? sum('orders') / sum('clicks') : null;
  return testOfTerm(bid, accountInfo(account).choices.bids.provenOrders, conversion);
}

/** A market that does not answer suggests nothing tonight: the other rules of the night go on. */
const suggestedFor = (accountId: number, productId: number) =>
  loadSource(accountId, productId, 'market').catch((error: unknown) => {
    log().warn({ err: error, accountId, productId }, 'the market suggested no terms');
    return null;
  });

/** What can be tried: no keyword of the product bids on it, nothing keeps it out, and the market takes it. */
async function termsFound(
  account: AccountRow,
  { index, structure }: Background,
  { productId, home: { adGroup }, own }: { productId: number; home: Home; own: readonly Target[] },
  { market, campaigns }: NewTermsRule,
): Promise<TermFound[]> {
  const limits = account.limits;
  const [sold, suggested] = await Promise.all([
    campaigns ? loadSource(account.id, productId, 'sold') : null,
    market && account.marketId !== null ? suggestedFor(account.id, productId) : null,
  ]);
  const forms = new Set(own.map(({ expression }) => matchForm(expression)));
  const kindOf = kindReader(index.tree.lists);
  const isOpen = (text: string) => {
    const form = matchForm(text);
    if (forms.has(form) || structure.isNegativeIn(form, adGroup)) return false;
    if (kindOf(text).name === 'never wanted' || checkWords(text, limits).length > 0) return false;
    forms.add(form);
    return true;
  };
  const words = [
    ...(sold?.of === 'product' ? sold.terms : []).map((one) => ({ ...one, isSold: true })),
    ...(suggested?.terms ?? []).map((one) => ({ ...one, isSold: false })),
  ];
  return words.flatMap(({ text, isItem, isSold, orders, sales, weeklySearches }) =>
    isItem || !isOpen(text)
      ? []
      : [
          {
            text,
            sold: isSold && orders !== null && sales !== null ? { orders, sales } : null,
            weeklySearches,
          },
        ],
  );
}

function wantedOf(
  found: TermFound,
  test: TermTest,
  { match }: NewTermsRule,
  { adGroup, place }: Home,
  index: TreeIndex,
): RuleWanted {
  const reason = newTermReason(found, test);
  return {
    subject: `term ${adGroup.id}:${matchForm(found.text)}`,
    name: found.text,
    place: `${index.campaigns.get(place.campaignId)?.name} › ${adGroup.name}`,
    reason,
    figures: { clicks: 0, impressions: 0, orders: found.sold?.orders ?? 0 },
    changes: 1,
    spend: test.cost,
    sales: 0,
    list: [
      {
        change: { kind: 'add-keyword', adGroupId: adGroup.id, expression: found.text, match, bid: test.bid },
        reason,
        figures: { step: 'test', testCost: test.cost },
        effect: { spend: test.cost, sales: 0 },
      },
    ],
  };
}
