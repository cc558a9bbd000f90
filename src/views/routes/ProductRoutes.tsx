import Button from '@mui/material/Button';
import { useState } from 'react';
import { routeKey, USUAL_START } from '../../core/routes';
import type { Route } from '../../core/routes';
import type { AdGroup, StructureIndex } from '../../core/structure';
import { formatCount } from '../../core/units';
import { useKeys } from '../shared/useKeys';
import { RouteForm } from './RouteForm';
import { RouteGraph } from './RouteGraph';
import type { GraphLink } from './RouteGraph';
import type { RoutesState } from './useRoutes';

interface ProductRoutesProps {
  product: { id: number | null; name: string };
  index: StructureIndex;
  currency: string;
  state: RoutesState;
  onApproveAll: () => void;
}

/** The routes of one product: drawn, edited by a form, proposed ones approved. */
export function ProductRoutes({ product, index, currency, state, onApproveAll }: ProductRoutesProps) {
  const { routes, proposed, put, remove, undo } = state;
  const [chosen, setChosen] = useState<GraphLink | null>(null);
  const sources = index.researchAdGroups(product.id);
  const isSource = new Set(sources.map(({ id }) => id));
  const own = routes.filter(({ sourceId }) => isSource.has(sourceId));
  const open = proposed.filter(({ sourceId }) => isSource.has(sourceId));
  const homes = homesOf(index, product.id, sources, [...own, ...open]);
  const nameOf = ({ campaignId, name }: AdGroup) => `${index.campaign(campaignId)?.name} › ${name}`;
  const links: GraphLink[] = [
    ...own.map((route) => ({ route, isProposed: false })),
    ...open.map((route) => ({ route, isProposed: true })),
  ];
  const drop = () => {
    if (chosen && !chosen.isProposed) remove(chosen.route);
    setChosen(null);
  };
  useKeys({ a: () => put(open), u: undo, delete: drop, escape: () => setChosen(null) });
  return (
    <main style={{ overflow: 'auto', padding: '12px 20px' }}>
      <p className="serif" style={{ margin: '0 0 8px', fontSize: 17 }}>
        {open.length > 0
          ? `${product.name}: ${formatCount(open.length)} ${open.length === 1 ? 'route is' : 'routes are'} proposed, ${formatCount(own.length)} kept.`
          : `${product.name}: ${formatCount(own.length)} ${own.length === 1 ? 'route' : 'routes'}.`}
      </p>
      <div className="bar" style={{ gap: 12, marginBottom: 12 }}>
        <span className="faint">
          What sells on the left moves to the right. Solid: kept, dashed: proposed. Drag to draw one.
        </span>
        <span style={{ flex: 1 }} />
        {open.length > 0 && (
          <Button variant="contained" onClick={() => put(open)} title="a">
            Approve these {formatCount(open.length)}
          </Button>
        )}
        {proposed.length > open.length && (
          <Button variant="outlined" onClick={onApproveAll}>
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
        onSelect={setChosen}
        onLink={(sourceId, homeId) => put([newRoute(index, sourceId, homeId)])}
      />
      {chosen ? (
        <RouteForm
          route={chosen.route}
          isProposed={chosen.isProposed}
          sources={sources}
          homes={homes}
          currency={currency}
          nameOf={nameOf}
          onRoute={(route) => setChosen({ route, isProposed: true })}
          onKeep={() => {
            put([chosen.route]);
            setChosen(null);
          }}
          onRemove={drop}
        />
      ) : (
        <p className="faint">Choose a route to change how terms move: match, and where they are blocked.</p>
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
  const homes = [...index.wordHomes, ...index.itemHomes].filter((one) => one.productId === productId);
  const ends = routes.flatMap(({ homeId }) => index.adGroup(homeId) ?? []);
  return [...new Map([...homes, ...ends, ...sources].map((one) => [one.id, one])).values()];
}

/** A drawn route takes what its home is for. */
function newRoute(index: StructureIndex, sourceId: number, homeId: number): Route {
  const takes = index.itemHomes.some(({ id }) => id === homeId) ? 'items' : 'words';
  return { sourceId, homeId, takes, match: 'exact', block: 'ad group', asks: null, start: USUAL_START };
}
