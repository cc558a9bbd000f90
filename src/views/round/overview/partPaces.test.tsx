import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { anAccountInfo } from '../../../../tests/make/review';
import type { PlannedPart } from '../../../contract/money';
import { PartPaces } from './PartPaces';

const part = (over: Partial<PlannedPart>): PlannedPart => ({
  scope: 'product',
  scopeId: 7,
  name: 'Glass weights',
  span: 'month',
  plan: 300e6,
  done: 250e6,
  pace: 1.4,
  forecast: 420e6,
  low: 400e6,
  high: 440e6,
  goneOn: '2026-11-22',
  ...over,
});

let parts: PlannedPart[];
let sent: { method: string; body: unknown }[];
beforeEach(() => {
  [parts, sent] = [[], []];
  vi.stubGlobal('fetch', (_: string, init?: RequestInit) => {
    if (init?.method) sent.push({ method: init.method, body: JSON.parse(init.body as string) });
    const answer = init?.method ? { kept: true } : { lastDay: '2026-11-18', parts };
    return Promise.resolve(new Response(JSON.stringify(answer)));
  });
});
afterEach(() => vi.unstubAllGlobals());

const open = async () => {
  draw(<PartPaces account={anAccountInfo()} />);
  return screen.findByRole('row', { name: /Glass weights/ });
};

test('a part that spends above its plan is marked, with the day on which its money is gone', async () => {
  parts = [part({}), part({ scope: 'line', name: 'Vessels', pace: 0.5, goneOn: null })];
  const row = await open();
  expect(row.textContent).toContain('▲ 140 %');
  expect(row.textContent).toContain('gone 22 Nov');
  const other = screen.getByRole('row', { name: /Vessels/ });
  expect(other.textContent).toContain('▼ 50 %');
  expect(other.textContent).not.toContain('gone');
});

test('a plan is set in its row, and dropped with a way back', async () => {
  parts = [part({})];
  const row = await open();
  const field = within(row).getByRole('textbox');
  fireEvent.change(field, { target: { value: '450' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  const plan = { account: 1, scope: 'product', scopeId: 7, span: 'month' };
  await waitFor(() => expect(sent[0]).toEqual({ method: 'PUT', body: { ...plan, spend: 450e6 } }));
  fireEvent.click(within(row).getByRole('button', { name: /Drop the plan/ }));
  await waitFor(() => expect(sent[1]).toEqual({ method: 'DELETE', body: plan }));
  fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(sent[2]).toEqual({ method: 'PUT', body: { ...plan, spend: 300e6 } }));
});

test('the life of a campaign is its budget’s: it is told, and set elsewhere', async () => {
  parts = [part({ scope: 'campaign', span: 'lifetime' })];
  const row = await open();
  expect(row.textContent).toContain('its life');
  expect(within(row).queryByRole('textbox')).toBeNull();
  expect(within(row).queryByRole('button')).toBeNull();
});
