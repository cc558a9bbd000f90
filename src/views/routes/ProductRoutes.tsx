import type { AccountInfo } from '../../contract/api';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { routeKey, USUAL_START } from '../../core/routes';
import type { Route } from '../../core/routes';
import type { AdGroup, Campaign, StructureIndex } from '../../core/structure';
import { formatCount } from '../../core/units';
import { useKeys } from '../shared/useKeys';
import { offersOf } from '../shared/offered';
import { HomeForm } from './HomeForm';
import { RouteForm } from './RouteForm';
import { RouteGraph } from './RouteGraph';
import type { GraphLink } from './RouteGraph';
import type { RoutesState } from './useRoutes';

interface ProductRoutesProps {
  product: { id: number | null; name: string };
  index: StructureIndex;
  account: AccountInfo | undefined;
  state: RoutesState;
  onApproveAll: () => void;
}

/** The routes of one product: drawn, edited by a form, proposed ones approved. */
export function ProductRoutes({ product, index, account, state, onApproveAll }: ProductRoutesProps) {
  const currency = account?.currency ?? '';
  const { matches, productTargets } = offersOf(account);
  const { tree, gone, routes, proposed, put, remove, makeHome } = state;
  const [chosen, setChosen] = useState<GraphLink | null>(null);
  // The kept route that is being changed: it goes when the changed one is kept.
  const [changing, setChanging] = useState<Route | null>(null);
  const [isMaking, setMaking] = useState(false);
  const sources = index.researchAdGroups(product.id);
  const isSource = new Set(sources.map(({ id }) => id));
  const own = routes.filter(({ sourceId }) => isSource.has(sourceId));
  const open = proposed.filter(({ sourceId }) => isSource.has(sourceId));
  const homes = homesOf(index, product.id, sources, [...own, ...open]);
  const nameOf = ({ campaignId, name, state: own }: AdGroup) =>
    `${index.campaign(campaignId)?.name} › ${name}${own === 'draft' ? ' · draft' : ''}`;
  const links: GraphLink[] = [
    ...own.map((route) => ({ route, isProposed: false })),
    ...open.map((route) => ({ route, isProposed: true })),
  ];
  const drop = () => {
    if (changing) remove(changing);
    setChosen(null);
  };
  const select = (link: GraphLink | null) => {
    setChosen(link);
    setChanging(link && !link.isProposed ? link.route : null);
    setMaking(false);
  };
  const startMaking = () => {
    setChosen(null);
    setMaking(product.id !== null);
  };
  useKeys({ a: () => put(open), h: startMaking, delete: drop, escape: () => select(null) });
  return (
    <main className="page">
      <p className="sentence">
        {open.length > 0
          ? `${product.name}: ${formatCount(open.length)} ${open.length === 1 ? 'route is' : 'routes are'} proposed, ${formatCount(own.length)} kept.`
          : `${product.name}: ${formatCount(own.length)} ${own.length === 1 ? 'route' : 'routes'}.`}
      </p>
      <div className="bar">
        <span className="faint">
          Terms that sell on the left move to the right. Solid: kept; dashed: proposed. Drag to draw a route.
        </span>
        <span className="room" />
        {open.length > 0 && (
          <Button data-may="decide" variant="contained" onClick={() => put(open)} title="Approve them (a)">
            Approve these {formatCount(open.length)}
          </Button>
        )}
        {proposed.length > open.length && (
          <Button data-may="decide" variant="outlined" onClick={onApproveAll}>
            Approve all {formatCount(proposed.length)} of the account
          </Button>
        )}
      </div>
      <RouteGraph
        sources={sources}
        homes={homes}
        nameOf={nameOf}
        links={links}
        selected={chosen && routeKey(chosen.route)}
        onSelect={select}
        onLink={(sourceId, homeId) => put([newRoute(index, sourceId, homeId)])}
      />
      {chosen ? (
        <RouteForm
          route={chosen.route}
          isProposed={changing === null}
          sources={sources}
          homes={homes}
          currency={currency}
          matches={matches}
          nameOf={nameOf}
          onRoute={(route) => setChosen({ route, isProposed: true })}
          onKeep={() => {
            put([chosen.route], changing);
            select(null);
          }}
          onRemove={drop}
        />
      ) : isMaking && product.id !== null ? (
        <HomeForm
          product={{ id: product.id, name: product.name }}
          campaigns={campaignsOf(index, product.id, tree?.campaigns ?? [])}
          names={namesTaken(tree?.campaigns ?? [])}
          currency={currency}
          kinds={productTargets ? [...matches, 'items'] : matches}
          onMake={(home) => makeHome.mutateAsync(home).then(() => setMaking(false))}
          onClose={() => setMaking(false)}
        />
      ) : (
        <p className="bar">
          {product.id !== null && (
            <Button data-may="decide" variant="outlined" onClick={startMaking} title="Make a home (h)">
              New home
            </Button>
          )}
          <span className="faint">
            Choose a route to change how its terms move: what they must show, their match and first bid, and
            where they are blocked.
            {gone > 0 &&
              ` ${formatCount(gone)} ${gone === 1 ? 'route led' : 'routes led'} to what has ended, and is left out.`}
          </span>
        </p>
      )}
    </main>
  );
}

/** Homes of the product, ends of its routes, and its other ad groups: chains lead through them. */
function homesOf(
  index: StructureIndex,
  productId: number | null,
  sources: AdGroup[],
  routes: Route[],
): AdGroup[] {
  const homes = [...index.wordHomes, ...index.itemHomes, ...index.emptyAdGroups].filter(
    (one) => one.productId === productId,
  );
  const ends = routes.flatMap(({ homeId }) => index.adGroup(homeId) ?? []);
  return [...new Map([...homes, ...ends, ...sources].map((one) => [one.id, one])).values()];
}

/** Names that campaigns have; those of ended ones are free. */
const namesTaken = (campaigns: readonly Campaign[]) =>
  new Set(campaigns.flatMap(({ name, state }) => (state === 'archived' ? [] : [name])));

/** Campaigns of a product's ad groups that have not ended. */
function campaignsOf(index: StructureIndex, productId: number, campaigns: readonly Campaign[]): Campaign[] {
  const own = new Set(
    index.adGroups.filter((one) => one.productId === productId).map(({ campaignId }) => campaignId),
  );
  return campaigns.filter(({ id, state }) => own.has(id) && state !== 'archived');
}

/** A drawn route takes what its home is for. */
function newRoute(index: StructureIndex, sourceId: number, homeId: number): Route {
  const isForItems =
    index.itemHomes.some(({ id }) => id === homeId) ||
    index.emptyAdGroups.some(({ id, name }) => id === homeId && /\bitems?\b/i.test(name));
  const takes = isForItems ? 'items' : 'words';
  return { sourceId, homeId, takes, match: 'exact', block: 'research', asks: null, start: USUAL_START };
}
