import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { navigate } from 'wouter/use-browser-location';
import { describe, expect, test } from 'vitest';
import { useRoute } from './useRoute';

const go = (address: string) => act(() => navigate(address));
/** The shell at an address. */
function open(address: string) {
  cleanup();
  history.replaceState(null, '', address);
  const { result } = renderHook(() => useRoute('round'));
  return { place: () => result.current.place, view: () => result.current.searches[result.current.place] };
}

describe('going between places', () => {
  test('brings back what a place showed, and says so in the address', async () => {
    const { place, view } = open('/round?account=1');
    go('/round?account=1&step=over');
    go('/field?account=1&lens=terms');
    expect([place(), view()]).toEqual(['field', 'account=1&lens=terms']);
    go('/round?account=1');
    expect([place(), view()]).toEqual(['round', 'account=1&step=over']);
    await waitFor(() => expect(location.search).toBe('?account=1&step=over'));
    expect(document.title).toBe('Round · Mowing');
  });

  test('by a link that says what it shows, shows that', () => {
    const { view } = open('/words?account=1&part=core');
    go('/round?account=1');
    go('/words?account=1&part=lists');
    expect(view()).toBe('account=1&part=lists');
  });

  test('of another account begins anew', () => {
    const { view } = open('/round?account=1&step=over');
    go('/field?account=1');
    go('/round?account=2');
    expect(view()).toBe('account=2');
  });
});

describe('the field', () => {
  const keep = (last: Record<string, string>) =>
    localStorage.setItem('mowing-field-last', JSON.stringify(last));

  test('opens on another day as it was left, for each account its own', () => {
    open('/field?account=5&lens=terms&where=clicks%3E%3D3');
    open('/field?account=6&lens=campaigns');
    expect(open('/field?account=5').view()).toBe('account=5&lens=terms&where=clicks%3E%3D3');
    expect(open('/field?account=6').view()).toBe('account=6&lens=campaigns');
    expect(open('/field?account=7').view()).toBe('account=7');
  });

  test('gives way to a link that says what it shows', () => {
    keep({ 5: 'lens=terms' });
    expect(open('/field?account=5&lens=products').view()).toBe('account=5&lens=products');
  });

  test('whose last view cannot be read any more opens anyway', () => {
    localStorage.setItem('mowing-field-last', '{broken');
    expect(open('/field?account=5').view()).toBe('account=5');
  });
});
