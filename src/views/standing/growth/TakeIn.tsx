import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { FreeCampaign, Stage } from '../../../contract/growth';
import { STAGES } from '../../../core/growth';
import { formatMoney } from '../../../core/units';
import { Ask, Check, Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { STAGE_LABELS } from './words';

interface TakeInProps {
  account: AccountInfo;
  free: readonly FreeCampaign[];
  /** Empty: none is taken in. */
  onDone: (campaigns: { campaignId: number; stage: Stage }[]) => void;
}

/** Which campaigns of the product come into the plan, and in which stage. */
export function TakeIn({ account, free, onDone }: TakeInProps) {
  const [chosen, setChosen] = useState(() => new Map(free.map(({ id, stage }) => [id, stage])));
  const put = (id: number, stage: Stage | null) => {
    const next = new Map(chosen);
    if (stage === null) next.delete(id);
    else next.set(id, stage);
    setChosen(next);
  };
  const sum = free.reduce((all, { id, budget }) => all + (chosen.has(id) ? budget : 0), 0);
  return (
    <Ask
      title="Take campaigns in"
      does="Take them in"
      isOff={chosen.size === 0}
      onDone={(isWanted) =>
        onDone(isWanted ? [...chosen].map(([campaignId, stage]) => ({ campaignId, stage })) : [])
      }
    >
      <div className="settingLines">
        <p className="note">
          Their budgets come out of the plan’s total from then on. Given back, each gets the budget that it
          came with.
        </p>
        {free.map(({ id, name, budget, stage }) => (
          <div className="bar" key={id}>
            <Check isOn={chosen.has(id)} onChange={(isOn) => put(id, isOn ? stage : null)}>
              {name}
            </Check>
            <span className="room" />
            <span className="figure">
              {formatMoney(budget)} {account.currency}
            </span>
            <Choice
              label={`Stage of ${name}`}
              value={chosen.get(id) ?? stage}
              isOff={!chosen.has(id)}
              onChange={(next) => put(id, next as Stage)}
            >
              {STAGES.map((key): Option => [key, STAGE_LABELS[key]])}
            </Choice>
          </div>
        ))}
        <p className="note">
          Together {formatMoney(sum)} {account.currency} a day.
        </p>
      </div>
    </Ask>
  );
}
