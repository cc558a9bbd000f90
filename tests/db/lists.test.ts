import { afterAll, describe, expect, test } from 'vitest';
import { findAccount } from '../../src/db/queries/accounts';
import { listBudgetDays } from '../../src/db/queries/budgetFeed';
import { listTargets } from '../../src/db/queries/structure';
import { listAdGroupNodes, listCampaignNodes } from '../../src/db/queries/tree';
import { closeContext, db } from '../../src/server/context/context';
import { loadGoals } from '../../src/server/economics/goals';
import { loadProducts, setCosts } from '../../src/server/economics/products';
import { THIS_MACHINE } from '../../src/server/trail';
import { anAccount, exported, take } from './account';

afterAll(closeContext);

const PLACEMENTS = `Date,Campaign,Placement,Impressions,Clicks,Spend,Orders,Units,Sales
2026-10-05,Weights,top of search,50,5,3.10,1,1,18.90
`;
const SALES = `Date,Item code,Product,Orders,Units,Sales,Refunded units,Refunded sales
2026-10-05,Q7BC12D3F4,Crock,3,4,276.00,1,69.00
`;

describe('lists', () => {
  const COSTS =
    'Item code,Product,Price,Cost of goods,Fees,Shipping,Refund rate\nQ7BC12D3F4,Crock,69,21,10.35,6.90,4 %\nQ8BC12D3F5,Jar,30,9,,,\n';

  test('of costs give margins; a product that lacks one has none, which is not zero', async () => {
    const account = await anAccount();
    expect(await take(account, 'costs', COSTS)).toMatchObject({ state: 'done', kept: 2, unchanged: 0 });
    expect(await take(account, 'costs', COSTS)).toMatchObject({ kept: 0, unchanged: 2 });
    const { products } = await loadProducts(account.id);
    expect(products.map(({ name, margin, missing }) => [name, margin?.perUnit ?? null, missing])).toEqual([
      ['Crock', 27_990_000, []],
      ['Jar', null, ['fees', 'shipping']],
    ]);
    await setCosts(THIS_MACHINE, account.id, products[1].id, {
      ...products[1].costs,
      fees: 3_000_000,
      shipping: 3_000_000,
    });
    expect((await loadProducts(account.id)).products[1].breakEven!.acos).toBeCloseTo(0.5, 10);
    const csv = await exported(account, 'costs');
    expect(await take(account, 'costs', csv)).toMatchObject({ kept: 0, unchanged: 2 });
    expect(await take(account, 'costs', await exported(account, 'costs', 'xlsx'))).toMatchObject({
      kept: 0,
      unchanged: 2,
    });
  });

  test('of campaigns and targets make and change them, and come in again unchanged', async () => {
    const account = await anAccount();
    const list = `Campaign,Campaign state,Budget,Ad group,Default bid,Target,Match type,Bid,State
Weights,enabled,12,research,0.40,jar weights,broad,0.55,enabled
Weights,,,research,,glass weights,exact,,paused
Crocks,paused,5,,,,,,
`;
    expect(await take(account, 'entities', list)).toMatchObject({ state: 'done', kept: 3, refused: 0 });
    expect(
      (await listTargets(db(), account.id)).map(({ expression, bid, state }) => [expression, bid, state]),
    ).toEqual([
      ['jar weights', 550_000, 'enabled'],
      ['glass weights', null, 'paused'],
    ]);
    expect(await take(account, 'entities', list)).toMatchObject({ kept: 0, unchanged: 3 });
    expect(await take(account, 'entities', list.replace('0.55', '0.60'))).toMatchObject({
      kept: 1,
      unchanged: 2,
    });
    expect(await take(account, 'entities', await exported(account, 'entities'))).toMatchObject({
      kept: 0,
      unchanged: 2,
    });
  });

  test('of budgets tell what a campaign may spend a day, unless they say for its life; of the days before they tell nothing', async () => {
    const account = await anAccount();
    const list = `Campaign,Budget,Budget type
Weights,12,
Crocks,500,Lifetime
Jars,8,weekly
`;
    const result = await take(account, 'entities', list);
    expect(result).toMatchObject({ kept: 2, refused: 1 });
    expect(result.lines[0].reason).toBe('Budget type is one of daily, lifetime, not weekly.');
    const stands = async () =>
      (await listCampaignNodes(db(), account.id)).map(({ name, budget, budgetKind }) => [
        name,
        budget,
        budgetKind,
      ]);
    expect(await stands()).toEqual([
      ['Crocks', 500_000_000, 'lifetime'],
      ['Weights', 12_000_000, 'daily'],
    ]);
    expect(await listBudgetDays(db(), account.id)).toEqual([]);
    await take(account, 'entities', list.replace('12,', '15,').replace('Jars,8,weekly\n', ''));
    expect((await stands())[1]).toEqual(['Weights', 15_000_000, 'daily']);
    expect((await listBudgetDays(db(), account.id)).map(({ budget }) => budget)).toEqual([
      12_000_000, 15_000_000,
    ]);
  });

  test('tell the modifiers of campaigns in per cent, and what ad groups advertise; until then neither is known', async () => {
    const account = await anAccount();
    await take(account, 'placements', PLACEMENTS);
    const modifiers = async () =>
      (await listCampaignNodes(db(), account.id)).map(({ top, rest, pages, modifiersKnown }) => [
        top,
        rest,
        pages,
        modifiersKnown,
      ]);
    expect(await modifiers()).toEqual([[0, 0, 0, false]]);
    const list = `Campaign,Top of search modifier,Rest of search modifier,Product pages modifier,Ad group,Item code,Target,Match type
Weights,40 %,0,29,research,q7bc12d3f4,jar weights,phrase
Jars,0.4,0,0,research,,jars,broad
Lids,-5 %,0,0,research,,lids,broad
`;
    const result = await take(account, 'entities', list);
    expect(result).toMatchObject({ kept: 1, refused: 2 });
    expect(result.lines.map(({ reason }) => reason)).toEqual([
      'Top of search modifier is told in per cent; 0.4 could be a share. Write 40 % for 40 per cent.',
      'Top of search modifier is a percentage from 0 to 900, not -5 %.',
    ]);
    expect(await modifiers()).toEqual([[0.4, 0, 0.29, true]]);
    const [product] = (await loadProducts(account.id)).products;
    expect([product.itemCode, product.name]).toEqual(['Q7BC12D3F4', 'Q7BC12D3F4']);
    await take(account, 'sales', SALES);
    expect((await loadProducts(account.id)).products.map(({ name }) => name)).toEqual(['Crock']);
    expect((await listAdGroupNodes(db(), account.id)).map(({ productId }) => productId)).toEqual([
      product.id,
    ]);
    expect(await take(account, 'entities', await exported(account, 'entities'))).toMatchObject({
      kept: 0,
      unchanged: 1,
      refused: 0,
    });
  });

  test('of campaigns and targets are refused where these come from a market: a sync would not set right what they say', async () => {
    const { id } = await anAccount();
    await db()`update mowing.account set market_id = 'lists' where account_id = ${id}`;
    const account = (await findAccount(db(), id))!;
    expect(await take(account, 'entities', 'Campaign,Budget\nWeights,12\n')).toMatchObject({
      state: 'refused',
      kept: 0,
      message: expect.stringContaining('come from its market with each sync. Nothing was taken in.'),
    });
    expect(await listCampaignNodes(db(), id)).toEqual([]);
  });

  test('of targets find what they stand on by its name, and say what they cannot find', async () => {
    const account = await anAccount();
    await take(
      account,
      'entities',
      'Campaign,Ad group,Target,Match type\nWeights,research,jar weights,broad\n',
    );
    const list = `Scope,Name,Target ACOS,Profit margin
campaign,weights,30 %,
ad group,Weights › research,,0.15
campaign,Nowhere,20 %,
planet,Mars,20 %,
account,,18,
`;
    const result = await take(account, 'goals', list);
    expect(result).toMatchObject({ kept: 3, refused: 2 });
    expect(result.lines).toEqual([
      { line: 4, reason: 'There is no campaign “Nowhere”.' },
      { line: 5, reason: 'The scope is one of account, line, product, campaign, ad group, not planet.' },
    ]);
    expect((await loadGoals(account.id)).goals.map(({ scope, kind, low }) => [scope, kind, low])).toEqual([
      ['account', 'acos', 0.18],
      ['campaign', 'acos', 0.3],
      ['ad-group', 'margin', 0.15],
    ]);
    expect(await take(account, 'goals', await exported(account, 'goals'))).toMatchObject({
      kept: 0,
      unchanged: 3,
    });
  });
});
