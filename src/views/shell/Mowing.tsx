import { Activity, Suspense, createElement, memo, use, useState } from 'react';
import type { ComponentType } from 'react';
import { showDaysFrom, showMoneyIn } from '../../core/units';
import { App } from '../shared/App';
import { ErrorBoundary } from '../shared/ErrorBoundary';
import { Frame } from '../shared/frame/Frame';
import { pageOf } from '../shared/frame/pages';
import type { PageName } from '../shared/frame/pages';
import { Offers, makeOffers } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { showTimesIn } from '../shared/formatTime';
import { useTray } from '../shared/tray/useTray';
import { PlaceSearch } from '../shared/urlState';
import { useAccount } from '../shared/useAccount';
import { useRoute } from './useRoute';
import { Loading } from '../shared/kit';

type PlaceComponent = ComponentType<PlaceProps>;

const DOORS = import.meta.glob<{ Place: PlaceComponent }>('../*/index.ts');
const opened = new Map<PageName, Promise<PlaceComponent>>();
function open(name: PageName): Promise<PlaceComponent> {
  const known = opened.get(name);
  if (known) return known;
  const door = DOORS[`../${name}/index.ts`]().then(({ Place }) => memo(Place));
  opened.set(name, door);
  return door;
}

// Frame and place are drawn at once: the script of the place that the address names comes with the page.
const first = pageOf(location.pathname);
const firstIsHere = first && open(first).catch(() => null); // told where the place is drawn

/** The whole of Mowing: one page that stays while places come and go, so that figures, tray and what was typed stay too. */
export function Mowing({ place }: { place: PageName }) {
  if (firstIsHere) use(firstIsHere);
  return (
    <App>
      <Shell first={place} />
    </App>
  );
}

function Shell({ first }: { first: PageName }) {
  const { place, searches } = useRoute(first);
  const { accounts, account, error } = useAccount(new URLSearchParams(searches[place]).get('account'));
  if (account) {
    showDaysFrom(account.today);
    showMoneyIn(account.currency);
    showTimesIn(account.timezone);
  }
  const tray = useTray(account?.id);
  const [offers] = useState(makeOffers);
  const { places, life } = useSeen(place, account?.id);
  return (
    <Offers value={offers}>
      <Frame place={place} accounts={accounts} account={account} tray={tray}>
        {places.map((name) => (
          <Activity key={`${name} ${life}`} mode={name === place ? 'visible' : 'hidden'}>
            <PlaceSearch value={searches[name] ?? ''}>
              <ErrorBoundary>
                <Suspense fallback={<Loading>Opening …</Loading>}>
                  <Opened name={name} account={account} error={error} tray={tray} />
                </Suspense>
              </ErrorBoundary>
            </PlaceSearch>
          </Activity>
        ))}
      </Frame>
    </Offers>
  );
}

function Opened({ name, ...props }: PlaceProps & { name: PageName }) {
  return createElement(use(open(name)), props);
}

/** The places seen of an account, which are kept as they were left; `life` is another one with another account. */
function useSeen(
  place: PageName,
  account: number | undefined,
): { places: readonly PageName[]; life: number } {
  const [seen, setSeen] = useState({ account, places: [place], life: 0 });
  let next = seen;
  // The account that is looked up first is the one that the places were drawn for.
  if (seen.account === undefined && account !== undefined) next = { ...seen, account };
  else if (seen.account !== account) next = { account, places: [place], life: seen.life + 1 };
  if (!next.places.includes(place)) next = { ...next, places: [...next.places, place] };
  if (next !== seen) setSeen(next);
  return next;
}
