import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { draw, pick, typeIn } from '../../../tests/make/page';
import { aCampaign, anAdGroup, aRoute, AUTO, EXACT, ITEMS } from '../../../tests/make/terms';
import { USUAL_ASKS } from '../../core/routes';
import type { Route } from '../../core/routes';
import type { HomeRequest } from '../../contract/routes';
import { KEYWORD_MATCHES } from '../../core/matching';
import { HomeForm } from './HomeForm';
import { RouteForm } from './RouteForm';

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name, hidden: true }));

describe('a route', () => {
  let route: Route;
  let told: string[] = [];
  function Form({ start, isProposed = false }: { start: Route; isProposed?: boolean }) {
    const [now, setNow] = useState(start);
    route = now;
    return (
      <RouteForm
        route={now}
        isProposed={isProposed}
        sources={[anAdGroup({ id: AUTO, name: 'auto' })]}
        homes={[anAdGroup({ id: EXACT, name: 'exact' }), anAdGroup({ id: ITEMS, name: 'items' })]}
        currency="EUR"
        matches={KEYWORD_MATCHES}
        nameOf={({ name }) => name}
        onRoute={setNow}
        onKeep={() => told.push('keep')}
        onRemove={() => told.push('remove')}
      />
    );
  }

  test('takes words with a match, or item codes without one', () => {
    draw(<Form start={aRoute()} />);
    pick('as', 'phrase');
    pick('to', 'items');
    pick('blocked', 'in its campaign');
    expect(route).toMatchObject({ homeId: ITEMS, match: 'phrase', block: 'campaign' });
    pick('takes', 'item codes');
    expect(screen.queryByLabelText('as')).toBeNull();
  });

  test('asks what the step asks, or thresholds of its own in the units shown; an emptied one asks nothing', () => {
    draw(<Form start={aRoute()} />);
    expect(screen.queryByLabelText('Orders')).toBeNull();
    pick('when it shows', 'at least …');
    expect(route.asks).toEqual(USUAL_ASKS);
    typeIn('Orders', '3');
    typeIn('Spent, EUR', '12,5');
    typeIn('ACOS at most, %', '28');
    typeIn('sure of that, %', '100');
    typeIn('sure of that, %', '95');
    expect(route.asks).toMatchObject({ orders: 3, spend: 12_500_000, acos: 0.28, surety: 0.95 });
    typeIn('Spent, EUR', '');
    expect(route.asks!.spend).toBeNull();
    typeIn('Orders', 'few');
    expect((screen.getByLabelText('Orders') as HTMLInputElement).value).toBe('3');
    pick('when it shows', 'what the harvest step asks');
    expect(route.asks).toBeNull();
  });

  test('starts at a bid that is fixed, or found and held down; never both', () => {
    draw(<Form start={aRoute()} />);
    pick('starts at', 'a fixed bid');
    typeIn('Bid, EUR', '0.64');
    expect(route.start).toEqual({ by: 'fixed', amount: 640_000, cap: null });
    pick('starts at', 'the CPC in the source');
    typeIn('at most, ×', '1.2');
    expect(route.start).toEqual({ by: 'cpc', amount: null, cap: 1.2 });
  });

  test('that is proposed is approved; one that stands is kept or removed', () => {
    told = [];
    draw(<Form start={aRoute()} isProposed />);
    expect(screen.queryByText('Remove')).toBeNull();
    press('Approve');
    cleanup();
    draw(<Form start={aRoute()} />);
    press('Keep');
    press('Remove');
    expect(told).toEqual(['keep', 'keep', 'remove']);
  });
});

describe('a home that is to be made', () => {
  function form() {
    const made: Omit<HomeRequest, 'account'>[] = [];
    draw(
      <HomeForm
        product={{ id: 2, name: 'Crock' }}
        campaigns={[aCampaign({ id: 8, name: 'CR – auto' }), aCampaign({ id: 9, name: 'CR – exact' })]}
        names={new Set(['CR – auto', 'CR – exact'])}
        currency="EUR"
        kinds={[...KEYWORD_MATCHES, 'items']}
        onMake={(home) => Promise.resolve(made.push(home))}
        onClose={() => {}}
      />,
    );
    return made;
  }

  test('stands in a campaign of its own whose name is free, with a budget and a bid', async () => {
    const made = form();
    pick('A home of', 'exact keywords');
    typeIn('Budget a day, EUR', '15');
    typeIn('Default bid, EUR', '0,35');
    press('Stage this home');
    await waitFor(() => expect(made).toHaveLength(1));
    expect(made).toMatchObject([
      { productId: 2, name: 'exact', defaultBid: 350_000, campaign: { budget: 15_000_000 } },
    ]);
    const { name } = made[0].campaign as { name: string };
    expect(['CR – auto', 'CR – exact']).not.toContain(name);
    expect(screen.getByText(name)).toBeTruthy();
  });

  test('or in one that there is, named by the pattern, which is remembered', async () => {
    const made = form();
    pick('in', 'CR – exact');
    expect(screen.queryByLabelText('Budget a day, EUR')).toBeNull();
    typeIn('Pattern of the name', '{product} {match} home');
    pick('A home of', 'phrase keywords');
    press('Stage this home');
    await waitFor(() => expect(made).toHaveLength(1));
    expect(made).toMatchObject([{ name: 'Crock phrase home', campaign: { id: 9 } }]);
    cleanup();
    form();
    expect((screen.getByLabelText('Pattern of the name') as HTMLInputElement).value).toBe(
      '{product} {match} home',
    );
  });

  test('needs a name', () => {
    form();
    typeIn('Pattern of the name', '  ');
    expect(screen.getByText('no name yet')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Stage this home' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });
});
