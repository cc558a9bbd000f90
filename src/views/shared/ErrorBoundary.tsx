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
      <main style={{ padding: 48, maxWidth: 640 }} role="alert">
        <h1 className="serif">This page failed</h1>
        <p>{this.state.error.message}</p>
        <p>What is staged or sent is safe with the server. Load the page again.</p>
        <button onClick={() => location.reload()}>Load again</button>
      </main>
    );
  }
}
