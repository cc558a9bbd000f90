import { Activity, Suspense, lazy, memo, useState } from 'react';
import type { ComponentType } from 'react';
import { showDaysFrom } from '../../core/units';
import { App } from '../shared/App';
import { ErrorBoundary } from '../shared/ErrorBoundary';
import { Frame } from '../shared/frame/Frame';
import { PAGES, pageOf } from '../shared/frame/pages';
import type { PageName } from '../shared/frame/pages';
import { Offers, makeOffers } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { showTimesIn } from '../shared/formatTime';
import { useTray } from '../shared/tray/useTray';
import { PlaceSearch } from '../shared/urlState';
import { useAccount } from '../shared/useAccount';
import { useRoute } from './useRoute';
import { Loading } from '../shared/kit';

type Door = { Place: ComponentType<PlaceProps> };

const DOORS = import.meta.glob<Door>('../*/index.ts');
const opened = new Map<PageName, Promise<Door>>();
const open = (name: PageName): Promise<Door> => {
  const door = opened.get(name) ?? DOORS[`../${name}/index.ts`]();
  opened.set(name, door);
  door.catch(() => opened.delete(name)); // the next try asks for it anew
  return door;
};
const PLACES = Object.fromEntries(
  PAGES.map(({ name }) => [name, lazy(async () => ({ default: memo((await open(name)).Place) }))]),
) as unknown as Record<PageName, ComponentType<PlaceProps>>;

// The place that the address names comes while the frame is being drawn.
const first = pageOf(location.pathname);
if (first) void open(first).catch(() => {});

/** The whole of Mowing: one page that stays while places come and go, so that figures, tray and what was typed stay too. */
export function Mowing({ place }: { place: PageName }) {
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
    showTimesIn(account.timezone);
  }
  const tray = useTray(account?.id);
  const [offers] = useState(makeOffers);
  const { places, life } = useSeen(place, account?.id);
  return (
    <Offers value={offers}>
      <Frame place={place} accounts={accounts} account={account} tray={tray}>
        {places.map((name) => {
          const Place = PLACES[name];
          return (
            <Activity key={`${name} ${life}`} mode={name === place ? 'visible' : 'hidden'}>
              <PlaceSearch value={searches[name] ?? ''}>
                <ErrorBoundary>
                  <Suspense fallback={<Loading>Opening …</Loading>}>
                    <Place account={account} error={error} tray={tray} />
                  </Suspense>
                </ErrorBoundary>
              </PlaceSearch>
            </Activity>
          );
        })}
      </Frame>
    </Offers>
  );
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
