import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { takeTourAgain } from '../../shared/tour';
import type { RoundState } from '../useRoundState';
import { Tour, TourOffer } from './Tour';
import { TOUR } from './stops';

/** A page with everything that the tour points at. */
function Page() {
  const [step, setStep] = useState('overview');
  return (
    <>
      <nav aria-label="Steps">{step}</nav>
      <main>
        <section aria-label="Picture" />
        <div role="region" aria-label="Targets: rows" />
      </main>
      <aside aria-label="Evidence" />
      <section aria-label="Tray" />
      <TourOffer />
      <Tour state={{ step, setStep } as unknown as RoundState} />
    </>
  );
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => {
  // A page that is not laid out has no place for anything.
  Element.prototype.getClientRects = () => [new DOMRect(0, 0, 10, 10)] as unknown as DOMRectList;
  takeTourAgain();
});

describe('the tour of the Round', () => {
  test('is offered to those who are new, and never again to those who do not want it', () => {
    const { unmount } = draw(<Page />);
    press('No, thanks');
    expect(screen.queryByRole('region', { name: 'Tour' })).toBeNull();
    unmount();
    draw(<Page />);
    expect(screen.queryByText(/New here/)).toBeNull();
  });

  test('goes through five stops, forth and back, each on the step it speaks of', async () => {
    draw(<Page />);
    press('Take the tour');
    for (const { title } of TOUR.slice(0, -1)) {
      await screen.findByText(title);
      press('Next');
    }
    await screen.findByText(TOUR.at(-1)!.title);
    expect(screen.getByRole('navigation', { name: 'Steps' }).textContent).toBe('over');
    press('Back');
    await screen.findByText(TOUR.at(-2)!.title);
    press('Next');
    await screen.findByText(TOUR.at(-1)!.title);
    press('Begin');
    await waitFor(() => expect(screen.queryByRole('group', { name: /^Tour/ })).toBeNull());
  });

  test('can be left at any stop, and taken again', async () => {
    draw(<Page />);
    press('Take the tour');
    await screen.findByText(TOUR[0].title);
    fireEvent.keyDown(document.body, { key: 'Escape' });
    await waitFor(() => expect(screen.queryByText(TOUR[0].title)).toBeNull());
    takeTourAgain();
    expect(await screen.findByText(/New here/)).toBeTruthy();
  });
});
