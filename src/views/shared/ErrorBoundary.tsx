import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Component } from 'react';
import type { ReactNode } from 'react';

/** Shows a sentence instead of an empty page when a view fails. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { error: Error | null }> {
  override state = { error: null as Error | null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override render() {
    if (!this.state.error) return this.props.children;
    return (
      <Box component="main" sx={{ padding: '48px', maxWidth: 640 }} role="alert">
        <h1 className="serif">This page failed</h1>
        <p>{this.state.error.message}</p>
        <p>What you staged or sent is safe on the server. Load the page again.</p>
        <Button variant="link" onClick={() => location.reload()}>
          Load again
        </Button>
      </Box>
    );
  }
}
