import { expect, test } from '@playwright/test';
import { demoAccount, emptyTray, tray, treeOf } from './page';

// What a place shows first is asked before its page stands: the page asks nothing of it again.

for (const [address, questions] of [
  ['/field?lens=keywords&where=clicks%3E%3D3', ['arrange']],
  ['/round?step=harvest&sort=-clicks', ['arrange']],
  ['/round?step=over&minOrders=3', ['planBids', 'arrangeBids']],
] as const)
  test(`what a place shows first is asked of the worker once, with what is decided already: ${address}`, async ({
    page,
    request,
  }) => {
    const account = await demoAccount(request);
    await emptyTray(request, account);
    const { targets } = await treeOf(request, account);
    const { id, bid } = targets.find((one) => one.bid !== null && one.state === 'enabled')!;
    const change = { kind: 'set-bid', targetId: id, from: bid, to: bid! + 10_000 };
    const changes = [{ change, reason: 'by hand', figures: {}, effect: { spend: 0, sales: 0 } }];
    expect((await request.post('/api/changes', { data: { account, changes } })).ok()).toBe(true);
    const put = { account, queue: 'bids', subjects: [`target ${targets.at(-1)!.id}`], verdict: 'later' };
    expect((await request.post('/api/aside', { data: put })).ok()).toBe(true);
    await page.addInitScript(() => {
      const asked: string[] = [];
      const post = Worker.prototype.postMessage;
      Worker.prototype.postMessage = function (this: Worker, message: { path?: string[] }, ...rest: []) {
        asked.push(message.path?.join('.') ?? '');
        return post.call(this, message, ...rest);
      };
      Object.assign(window, { asked });
    });
    await page.goto(`${address}&account=${account}`);
    await expect(page.locator('main .table-row').first()).toBeVisible();
    await expect(tray(page, 1)).toBeVisible();
    const asked = await page.evaluate(() => (window as unknown as { asked: string[] }).asked);
    expect(asked.filter((path) => (questions as readonly string[]).includes(path)).sort()).toEqual(
      [...questions].sort(),
    );
    await request.post('/api/aside', { data: { ...put, verdict: 'back' } });
    await emptyTray(request, account);
  });
