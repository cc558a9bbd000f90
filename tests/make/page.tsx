import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { SnackbarProvider } from 'notistack';
import type { ReactNode } from 'react';

/** Draws a component as a page would hold it: server state and messages around it. */
export function draw(children: ReactNode) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(children, {
    wrapper: ({ children: inside }) => (
      <QueryClientProvider client={client}>
        <SnackbarProvider>{inside}</SnackbarProvider>
      </QueryClientProvider>
    ),
  });
}

/** The list of choices under a label, opened. @param at which of several with that label */
function opened(label: string, at: number): HTMLElement[] {
  fireEvent.mouseDown(
    screen.getAllByLabelText(label).filter((one) => one.getAttribute('role') === 'combobox')[at],
  );
  const list = screen.getAllByRole('listbox', { hidden: true }).at(-1)!;
  return within(list).getAllByRole('option', { hidden: true });
}

/** Takes a choice by its words, as a reader does. */
export function pick(label: string, words: string, at = 0): void {
  const option = opened(label, at).find(({ textContent }) => textContent === words);
  if (!option) throw new Error(`“${label}” offers no “${words}”.`);
  fireEvent.click(option);
}

/** The words of all choices under a label. */
export function choicesOf(label: string): (string | null)[] {
  const words = opened(label, 0).map(({ textContent }) => textContent);
  fireEvent.keyDown(screen.getAllByRole('listbox', { hidden: true }).at(-1)!, { key: 'Escape' });
  return words;
}

/** Types into a field and leaves it. */
export function typeIn(label: string, value: string, at = 0): void {
  const field = screen.getAllByLabelText(label)[at];
  fireEvent.change(field, { target: { value } });
  fireEvent.blur(field);
}
