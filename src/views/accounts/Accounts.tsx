import { App } from '../shared/App';
import { PersonMenu } from '../shared/people/PersonMenu';
import { AccountTable } from './AccountTable';

/** Several sellers side by side: the first page of whoever works on more than one account. */
export function Accounts() {
  return (
    <App>
      <header className="topBar">
        <span className="mark">Mowing</span>
        <span className="room" />
        <PersonMenu account={undefined} />
      </header>
      <main className="page">
        <AccountTable />
      </main>
    </App>
  );
}
