import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
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
