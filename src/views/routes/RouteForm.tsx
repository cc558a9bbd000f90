import Button from '@mui/material/Button';
import { NEGATIVE_REACHES } from '../../core/negatives';
import type { Route } from '../../core/routes';
import type { AdGroup } from '../../core/structure';
import { AsksFields } from './AsksFields';
import { Choice } from '../shared/Choice';
import { StartFields } from './StartFields';

interface RouteFormProps {
  route: Route;
  isProposed: boolean;
  sources: AdGroup[];
  homes: AdGroup[];
  currency: string;
  nameOf: (adGroup: AdGroup) => string;
  onRoute: (route: Route) => void;
  onKeep: () => void;
  onRemove: () => void;
}

const BLOCK_WORDS = {
  nowhere: 'nowhere',
  'ad group': 'in this ad group',
  campaign: 'in its campaign',
  research: 'wherever the product looks for terms',
} as const;

/** One route: its ends, what it takes and asks, how the home bids, and where a moved term is blocked. */
export function RouteForm(props: RouteFormProps) {
  const { route, isProposed, sources, homes, currency, nameOf, onRoute, onKeep, onRemove } = props;
  const set = (changes: Partial<Route>) => onRoute({ ...route, ...changes });
  return (
    <form
      aria-label="Route"
      style={{
        borderTop: '1px solid var(--hairline)',
        padding: '10px 0',
        display: 'grid',
        gap: 8,
        position: 'sticky',
        bottom: 0,
        background: 'var(--ground)',
      }}
      onSubmit={(event) => {
        event.preventDefault();
        onKeep();
      }}
    >
      <div className="bar" style={ROW}>
        <Choice label="From" value={route.sourceId} onChange={(id) => set({ sourceId: Number(id) })}>
          {sources.map((one) => [one.id, nameOf(one)])}
        </Choice>
        <Choice
          label="takes"
          value={route.takes}
          onChange={(takes) => set({ takes: takes as Route['takes'] })}
        >
          {[
            ['words', 'words'],
            ['items', 'item codes'],
          ]}
        </Choice>
        <Choice label="to" value={route.homeId} onChange={(id) => set({ homeId: Number(id) })}>
          {homes.map((one) => [one.id, nameOf(one)])}
        </Choice>
        {route.takes === 'words' && (
          <Choice
            label="as"
            value={route.match}
            onChange={(match) => set({ match: match as Route['match'] })}
          >
            {['exact', 'phrase', 'broad'].map((one) => [one, one])}
          </Choice>
        )}
        <Choice
          label="blocked"
          value={route.block}
          onChange={(block) => set({ block: block as Route['block'] })}
        >
          {(['nowhere', ...NEGATIVE_REACHES] as const).map((one) => [one, BLOCK_WORDS[one]])}
        </Choice>
      </div>
      <AsksFields asks={route.asks} currency={currency} onAsks={(asks) => set({ asks })} />
      <div className="bar" style={ROW}>
        <StartFields start={route.start} currency={currency} onStart={(start) => set({ start })} />
        <span style={{ flex: 1 }} />
        {!isProposed && <Button onClick={onRemove}>Remove</Button>}
        <Button type="submit" variant="contained">
          {isProposed ? 'Approve' : 'Keep'}
        </Button>
      </div>
    </form>
  );
}

const ROW = { flexWrap: 'wrap', gap: '8px 14px' } as const;
