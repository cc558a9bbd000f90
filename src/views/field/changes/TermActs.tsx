import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import type { LoadedLens } from '../../../plans/field';
import { Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useTermActs } from './useTermActs';

interface TermActsProps {
  account: AccountInfo;
  loaded: LoadedLens;
  chosen: number[];
  onStage: (changes: NewChange[]) => void;
}

/** What can be done with the chosen search terms: the same acts as in the round. */
export function TermActs(props: TermActsProps) {
  const { promote, block, pin, lists, putOn, isBusy } = useTermActs(props);
  const isOff = isBusy || props.chosen.length === 0;
  return (
    <>
      <Button
        onClick={promote}
        disabled={isOff}
        title="A keyword or target of its own in its home, blocked where it ran"
      >
        Promote
      </Button>
      <Button onClick={block} disabled={isOff} title="A negative where it ran">
        Block
      </Button>
      <Button onClick={pin} disabled={isOff} title="Onto the core list of its product">
        Pin
      </Button>
      {lists.length > 0 && (
        <Choice
          label="Put on a list"
          value=""
          isOff={isOff}
          placeholder="Put on a list …"
          onChange={(id) => {
            const list = lists.find((one) => String(one.id) === id);
            if (list) putOn(list);
          }}
        >
          {lists.map(({ id, name }): Option => [id, name])}
        </Choice>
      )}
      {isBusy && <span className="faint">Looking at the terms …</span>}
    </>
  );
}
