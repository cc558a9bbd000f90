import { useQuery } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import { FLEXES, PACINGS } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import type { LoadedLens } from '../../../plans/field';
import { planSettings } from '../../../plans/byHand';
import type { Settings } from '../../../plans/byHand';
import { lensNamed } from '../../../core/lenses';
import { api } from '../../shared/api';
import { Ask, Check, Choice, DayField, Loading, MoneyField, TextBox, Trouble } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface PlaceSettingsProps {
  account: AccountInfo;
  loaded: LoadedLens;
  chosen: number[];
  onStage: (changes: NewChange[]) => void;
}

/** Names, days, pacing and flex of the chosen campaigns, or names of the chosen ad groups: set together, seen before they are staged. */
export function PlaceSettings(props: PlaceSettingsProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)} disabled={props.chosen.length === 0}>
        Settings …
      </Button>
      {isOpen && <SettingsDialog {...props} onDone={() => setOpen(false)} />}
    </>
  );
}

const AS_IS = 'as they are';

function SettingsDialog({
  account,
  loaded,
  chosen,
  onStage,
  onDone,
}: PlaceSettingsProps & { onDone: () => void }) {
  const { table } = loaded;
  const isCampaigns = lensNamed(table.lens).pauses === 'campaign';
  const { data: tree, error } = useQuery({
    queryKey: ['tree', account.id, account.revision],
    queryFn: () => api.tree(account.id),
  });
  const [set, setSet] = useState<Settings>({});
  const put = (change: Settings) => setSet({ ...set, ...change });
  const plan = useMemo(() => {
    if (!tree) return null;
    const ids = new Set(chosen.map((row) => (isCampaigns ? table.campaignId : table.adGroupId)[row]));
    const places = isCampaigns
      ? tree.campaigns.filter(({ id }) => ids.has(id)).map((one) => ({ entity: 'campaign' as const, ...one }))
      : tree.adGroups.filter(({ id }) => ids.has(id)).map((one) => ({ entity: 'ad-group' as const, ...one }));
    const living = tree.campaigns.filter(({ state }) => state !== 'archived');
    return planSettings(places, set, tree.today, new Set(living.map(({ name }) => name)));
  }, [chosen, isCampaigns, set, table, tree]);
  const count = plan?.changes.length ?? 0;
  return (
    <Ask
      title={`Settings of ${formatCount(chosen.length)} ${isCampaigns ? (chosen.length === 1 ? 'campaign' : 'campaigns') : chosen.length === 1 ? 'ad group' : 'ad groups'}`}
      does={`Put ${formatCount(count)} to the tray`}
      isOff={count === 0}
      onDone={(isWanted) => {
        if (isWanted && plan) onStage(plan.changes);
        onDone();
      }}
    >
      {error ? (
        <Trouble error={error} />
      ) : !plan ? (
        <Loading>Loading …</Loading>
      ) : (
        <div className="settingLines">
          <div className="bar">
            <span className="faint">in their names</span>
            <TextBox
              aria-label="In their names"
              letters={18}
              placeholder="this text"
              value={set.find ?? ''}
              onChange={({ target }) => put({ find: target.value })}
            />
            <span className="faint">becomes</span>
            <TextBox
              aria-label="becomes"
              letters={18}
              placeholder="that text"
              value={set.replace ?? ''}
              onChange={({ target }) => put({ replace: target.value })}
            />
          </div>
          {!isCampaigns && account.options?.adGroupBudgets && (
            <MoneyField
              label="budget of each"
              micros={set.budget ?? null}
              currency={account.currency}
              step={1_000_000}
              onMicros={(budget) => put({ budget })}
              onNone={() => put({ budget: null })}
              after="empty: none of its own"
            />
          )}
          {isCampaigns && <CampaignSettings account={account} set={set} put={put} onSet={setSet} />}
          {plan.names.slice(0, 4).map(({ from, to }) => (
            <p key={from} className="note">
              “{from}” → “{to}”
            </p>
          ))}
          {plan.names.length > 4 && (
            <p className="note">… and {formatCount(plan.names.length - 4)} more names.</p>
          )}
          {plan.notNamed.length > 0 && (
            <p className="note warning">
              {formatCount(plan.notNamed.length)} keep their names: theirs would be empty, too long, or
              another campaign’s.
            </p>
          )}
          {plan.begun > 0 && (
            <p className="note warning">
              {formatCount(plan.begun)} have begun already: their first day stays.
            </p>
          )}
        </div>
      )}
    </Ask>
  );
}

interface CampaignSettingsProps {
  account: AccountInfo;
  set: Settings;
  put: (change: Settings) => void;
  onSet: (next: Settings) => void;
}

function CampaignSettings({ account, set, put, onSet }: CampaignSettingsProps) {
  const without = (field: keyof Settings) => {
    const { [field]: _, ...rest } = set;
    onSet(rest);
  };
  const choose = (field: 'pacing' | 'flex', values: readonly string[], label: string) => (
    <Choice
      label={label}
      isLabelled
      value={set[field] ?? AS_IS}
      onChange={(next) => (next === AS_IS ? without(field) : put({ [field]: next }))}
    >
      {[AS_IS, ...values].map((value): Option => [value, value])}
    </Choice>
  );
  return (
    <>
      <div className="bar">
        <span className="faint">first day</span>
        <DayField
          label="First day"
          value={set.startsOn ?? ''}
          min={account.today}
          onChange={(startsOn) => put({ startsOn })}
          onNone={() => without('startsOn')}
        />
        <span className="faint">last day</span>
        <DayField
          label="Last day"
          value={set.endsOn ?? ''}
          min={account.today}
          onChange={(endsOn) => put({ endsOn })}
          onNone={() => without('endsOn')}
        />
        <Check
          isOn={set.endsOn === null}
          onChange={(isOn) => (isOn ? put({ endsOn: null }) : without('endsOn'))}
        >
          without an end
        </Check>
      </div>
      <div className="bar">
        {choose('pacing', PACINGS, 'pacing')}
        {(account.options?.bidFlex ?? true) && choose('flex', FLEXES, 'bid flex')}
      </div>
    </>
  );
}
