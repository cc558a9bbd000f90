import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatMoney } from '../../../core/units';
import type { SpendShares } from '../../../plans/budgets';
import { api } from '../../shared/api';
import { Ask, Fault, MoneyField, TextBox } from '../../shared/kit';
import { useUndo } from '../../shared/undo/useUndo';

interface OwnCampaignDialogProps {
  account: AccountInfo;
  strong: NonNullable<SpendShares['strong']>;
  /** Name of the campaign that it stands in. */
  campaign: string;
  onDone: () => void;
}

/** What a campaign of its own for a target comes to, before it is staged. */
export function OwnCampaignDialog({ account, strong, campaign, onDone }: OwnCampaignDialogProps) {
  const client = useQueryClient();
  const { did, during } = useUndo(account.id);
  const [name, setName] = useState(`${campaign} – ${strong.name}`.slice(0, 200));
  const [budget, setBudget] = useState(strong.budget);
  const [leaves, setLeaves] = useState(strong.leaves);
  const stage = useMutation({
    mutationFn: () =>
      during(
        api.ownCampaign({ account: account.id, targetId: strong.id, name: name.trim(), budget, leaves }),
      ),
    onSuccess: async ({ ids }) => {
      did({ words: `a campaign of its own for “${strong.name}” staged`, undoing: { kind: 'take-out', ids } });
      await Promise.all(
        ['changes', 'tree'].map((key) => client.invalidateQueries({ queryKey: [key, account.id] })),
      );
      onDone();
    },
  });
  const { minBudget, maxBudget } = account.limits;
  return (
    <Ask
      title={`A campaign of its own for “${strong.name}”`}
      does="Stage it"
      isOff={name.trim() === '' || stage.isPending}
      onDone={(isWanted) => (isWanted ? stage.mutate() : onDone())}
    >
      <div className="fields">
        <span className="stacked">
          <span className="faint">Name</span>
          <TextBox
            aria-label="Name"
            value={name}
            onChange={(event) => setName(event.target.value)}
            className="long"
          />
        </span>
        <MoneyField
          label="Budget a day"
          currency={account.currency}
          micros={budget}
          least={minBudget}
          most={maxBudget}
          onMicros={setBudget}
        />
        <MoneyField
          label={`Left to “${campaign}”`}
          currency={account.currency}
          micros={leaves}
          least={minBudget}
          most={maxBudget}
          onMicros={setLeaves}
        />
      </div>
      <p className="line">
        Staged in order: the campaign, its ad group and ad, the target at its bid of {formatMoney(strong.bid)}
        , the modifiers of the old campaign; and once the new target runs, the old budget is lowered and the
        old target paused.
      </p>
      <p className="note">
        What the target brought so far counts for the new one from its first day. Each waits for what it
        needs; nothing is sent yet, and u takes it back.
      </p>
      <Fault error={stage.error} />
    </Ask>
  );
}
