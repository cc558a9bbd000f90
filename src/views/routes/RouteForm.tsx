import Button from '@mui/material/Button';
import type { KeywordMatch } from '../../core/matching';
import { NEGATIVE_REACHES } from '../../core/negatives';
import type { Route } from '../../core/routes';
import type { AdGroup } from '../../core/structure';
import { AsksFields } from './AsksFields';
import { StartFields } from './StartFields';
import { Choice } from '../shared/kit';

interface RouteFormProps {
  route: Route;
  isProposed: boolean;
  sources: AdGroup[];
  homes: AdGroup[];
  currency: string;
  /** Match types that the market takes. */
  matches: readonly KeywordMatch[];
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
  const { route, isProposed, sources, homes, currency, matches, nameOf, onRoute, onKeep, onRemove } = props;
  const set = (changes: Partial<Route>) => onRoute({ ...route, ...changes });
  return (
    <form
      className="ruledForm"
      aria-label="Route"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep();
      }}
    >
      <div className="bar">
        <Choice
          isLabelled
          label="From"
          value={route.sourceId}
          onChange={(id) => set({ sourceId: Number(id) })}
        >
          {sources.map((one) => [one.id, nameOf(one)])}
        </Choice>
        <Choice
          isLabelled
          label="takes"
          value={route.takes}
          onChange={(takes) => set({ takes: takes as Route['takes'] })}
        >
          {[
            ['words', 'words'],
            ['items', 'item codes'],
          ]}
        </Choice>
        <Choice isLabelled label="to" value={route.homeId} onChange={(id) => set({ homeId: Number(id) })}>
          {homes.map((one) => [one.id, nameOf(one)])}
        </Choice>
        {route.takes === 'words' && (
          <Choice
            isLabelled
            label="as"
            value={route.match}
            onChange={(match) => set({ match: match as Route['match'] })}
          >
            {matches}
          </Choice>
        )}
        <Choice
          isLabelled
          label="blocked"
          value={route.block}
          onChange={(block) => set({ block: block as Route['block'] })}
        >
          {(['nowhere', ...NEGATIVE_REACHES] as const).map((one) => [one, BLOCK_WORDS[one]])}
        </Choice>
      </div>
      <AsksFields asks={route.asks} currency={currency} onAsks={(asks) => set({ asks })} />
      <div className="bar">
        <StartFields start={route.start} currency={currency} onStart={(start) => set({ start })} />
        <span className="room" />
        {!isProposed && (
          <Button data-may="decide" onClick={onRemove}>
            Remove
          </Button>
        )}
        <Button data-may="decide" type="submit" variant="contained">
          {isProposed ? 'Approve' : 'Keep'}
        </Button>
      </div>
    </form>
  );
}
