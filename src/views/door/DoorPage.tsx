import type { FormEvent, ReactNode } from 'react';
import { App } from '../shared/App';

interface DoorPageProps {
  title: string;
  children: ReactNode;
  onSubmit: () => void;
}

/** What stands at the door: one form in the middle of the page. */
export function DoorPage(props: DoorPageProps) {
  return (
    <App>
      <DoorForm {...props} />
    </App>
  );
}

function DoorForm({ title, children, onSubmit }: DoorPageProps) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSubmit();
  };
  return (
    <main className="door">
      <p className="mark">Mowing</p>
      <form aria-label={title} className="framed doorForm" onSubmit={submit}>
        <h1 className="pageTitle">{title}</h1>
        {children}
      </form>
    </main>
  );
}
