import { Component } from 'react';
import type { ReactNode } from 'react';
import { Trouble } from './kit';

/** Shows what went wrong inside a part of a page in place of that part. */
export class TroubleBoundary extends Component<{ children: ReactNode }, { error: Error | null }> {
  override state = { error: null as Error | null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override render() {
    const { error } = this.state;
    if (error) return <Trouble error={error} onAgain={() => this.setState({ error: null })} />;
    return this.props.children;
  }
}
