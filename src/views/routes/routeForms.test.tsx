import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import { aCampaign, anAdGroup, aRoute, AUTO, EXACT, ITEMS } from '../../../tests/make/terms';
import { USUAL_ASKS } from '../../core/routes';
import type { Route } from '../../core/routes';
import type { HomeRequest } from '../../contract/routes';
import { HomeForm } from './HomeForm';
import { RouteForm } from './RouteForm';

const choose = (label: string, value: string | number) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: String(value) } });
const type = (label: string, value: string) => {
  choose(label, value);
  fireEvent.blur(screen.getByLabelText(label));
};
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

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
        nameOf={({ name }) => name}
        onRoute={setNow}
        onKeep={() => told.push('keep')}
        onRemove={() => told.push('remove')}
      />
    );
  }

  test('takes words with a match, or item codes without one', () => {
    draw(<Form start={aRoute()} />);
    choose('as', 'phrase');
    choose('to', ITEMS);
    choose('blocked', 'campaign');
    expect(route).toMatchObject({ homeId: ITEMS, match: 'phrase', block: 'campaign' });
    choose('takes', 'items');
    expect(screen.queryByLabelText('as')).toBeNull();
  });

  test('asks what the step asks, or thresholds of its own in the units shown; an emptied one asks nothing', () => {
    draw(<Form start={aRoute()} />);
    expect(screen.queryByLabelText('orders')).toBeNull();
    choose('when it shows', 'own');
    expect(route.asks).toEqual(USUAL_ASKS);
    type('orders', '3');
    type('EUR spent', '12,5');
    type('% ACOS at most', '28');
    type('% sure of that', '100');
    expect(route.asks).toMatchObject({ orders: 3, spend: 12_500_000, acos: 0.28, surety: 0.99 });
    type('EUR spent', '');
    expect(route.asks!.spend).toBeNull();
    type('orders', 'few');
    expect((screen.getByLabelText('orders') as HTMLInputElement).value).toBe('3');
    choose('when it shows', 'step');
    expect(route.asks).toBeNull();
  });

  test('starts at a bid that is fixed, or found and held down; never both', () => {
    draw(<Form start={aRoute()} />);
    choose('starts at', 'fixed');
    type('EUR bid', '0.64');
    expect(route.start).toEqual({ by: 'fixed', amount: 640_000, cap: null });
    choose('starts at', 'cpc');
    type('× the source’s CPC at most', '1.2');
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
        onMake={(home) => made.push(home)}
        onClose={() => {}}
      />,
    );
    return made;
  }

  test('stands in a campaign of its own whose name is free, with a budget and a bid', () => {
    const made = form();
    choose('A home of', 'exact');
    type('EUR a day', '15');
    type('EUR default bid', '0,35');
    press('Stage this home');
    expect(made).toMatchObject([
      { productId: 2, name: 'exact', defaultBid: 350_000, campaign: { budget: 15_000_000 } },
    ]);
    const { name } = made[0].campaign as { name: string };
    expect(['CR – auto', 'CR – exact']).not.toContain(name);
    expect(screen.getByText(name)).toBeTruthy();
  });

  test('or in one that there is, named by the pattern, which is remembered', () => {
    const made = form();
    choose('in', 9);
    expect(screen.queryByLabelText('EUR a day')).toBeNull();
    choose('Pattern of the name', '{product} {match} home');
    choose('A home of', 'phrase');
    press('Stage this home');
    expect(made).toMatchObject([{ name: 'Crock phrase home', campaign: { id: 9 } }]);
    cleanup();
    form();
    expect((screen.getByLabelText('Pattern of the name') as HTMLInputElement).value).toBe(
      '{product} {match} home',
    );
  });

  test('needs a name', () => {
    form();
    choose('Pattern of the name', '  ');
    expect(screen.getByText('no name yet')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Stage this home' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });
});
