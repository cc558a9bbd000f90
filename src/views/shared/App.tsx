import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { SnackbarProvider } from 'notistack';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { THEME_KEY, theme } from '../../theme/theme';
import { writeNumbersAs } from '../../core/units';
import { ApiError } from './api';
import { keepGiven } from './given';
import { ErrorBoundary } from './ErrorBoundary';
import { toSignIn } from './people/toSignIn';
import { readerLocale } from './reader';

writeNumbersAs(readerLocale());

/** What stands around every place: theme, server state, messages, a last resort for errors. */
export function App({ children }: { children: ReactNode }) {
  const [client] = useState(() => {
    const onError = (error: Error) => {
      if (error instanceof ApiError && error.code === 'not-signed-in') toSignIn();
    };
    const made = new QueryClient({
      queryCache: new QueryCache({ onError }),
      mutationCache: new MutationCache({ onError }),
      defaultOptions: { queries: { retry: isWorthAnother, refetchOnWindowFocus: true, staleTime: 5000 } },
    });
    keepGiven(made, new URLSearchParams(location.search));
    return made;
  });
  return (
    <ThemeProvider theme={theme} defaultMode="system" modeStorageKey={THEME_KEY}>
      <CssBaseline />
      <QueryClientProvider client={client}>
        <SnackbarProvider
          maxSnack={3}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          style={{ marginBottom: 36 }}
        >
          <ErrorBoundary>{children}</ErrorBoundary>
        </SnackbarProvider>
      </QueryClientProvider>
    </ThemeProvider>
  );
}

/** One that was told to come back asks again, with growing pauses; any other trouble is asked about once more. */
const isWorthAnother = (failures: number, error: unknown) =>
  failures < (error instanceof ApiError && error.code === 'busy' ? 6 : 1);
