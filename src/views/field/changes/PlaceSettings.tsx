import { useQuery } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import { FLEXES, PACINGS, SIMILAR } from '../../../core/changes';
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
    queryKey: ['tree', account.id, 'none', account.revision],
    queryFn: () => api.tree(account.id, 'none'),
  });
  const [set, setSet] = useState<Settings>({});
  const put = (change: Settings) => setSet({ ...set, ...change });
  const without = (...fields: (keyof Settings)[]) =>
    setSet(Object.fromEntries(Object.entries(set).filter(([field]) => !fields.some((one) => one === field))));
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
            <>
              <MoneyField
                label="budget of each"
                micros={set.budget ?? null}
                currency={account.currency}
                step={1_000_000}
                onMicros={(budget) => put({ budget })}
                onNone={() => put({ budget: null })}
                after="empty: none of its own"
              />
              <DayFields
                account={account}
                set={set}
                put={put}
                without={without}
                none="none of their own"
                both
              />
            </>
          )}
          {isCampaigns && <CampaignSettings account={account} set={set} put={put} without={without} />}
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
  without: (...fields: (keyof Settings)[]) => void;
}

function CampaignSettings({ account, set, put, without }: CampaignSettingsProps) {
  const choose = (field: 'pacing' | 'flex' | 'similar', values: readonly string[], label: string) => (
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
      <DayFields account={account} set={set} put={put} without={without} none="without an end" />
      <div className="bar">
        {choose('pacing', PACINGS, 'pacing')}
        {(account.options?.bidFlex ?? true) && choose('flex', FLEXES, 'bid flex')}
        {account.options?.similarCategories && choose('similar', SIMILAR, 'similar categories')}
      </div>
    </>
  );
}

const DAYS = [
  ['startsOn', 'first day'],
  ['endsOn', 'last day'],
] as const;

/** First and last day of the chosen places. @param none what holds without a last day @param both whether the first day may be missing too */
function DayFields({
  account,
  set,
  put,
  without,
  none,
  both = false,
}: CampaignSettingsProps & { none: string; both?: boolean }) {
  const free = DAYS.filter(([which]) => both || which === 'endsOn');
  const isNone = free.every(([which]) => set[which] === null);
  return (
    <div className="bar">
      {DAYS.map(([which, label]) => (
        <span key={which} className="labelled">
          <span className="faint">{label}</span>
          <DayField
            label={label}
            value={set[which] ?? ''}
            min={account.today}
            onChange={(day) => put({ [which]: day })}
            onNone={() => without(which)}
          />
        </span>
      ))}
      <Check
        isOn={isNone}
        onChange={(isOn) =>
          isOn
            ? put(Object.fromEntries(free.map(([which]) => [which, null])))
            : without(...free.map(([which]) => which))
        }
      >
        {none}
      </Check>
    </div>
  );
}
