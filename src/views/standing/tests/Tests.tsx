import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { TestAllowance, TestedTarget, TestOutcome, TestsAnswer } from '../../../contract/tests';
import type { BidChoices, TestCap } from '../../../core/bids';
import { formatCount, formatFullDay, formatMoney } from '../../../core/units';
import type { PlaceProps } from '../../shared/frame/place';
import { Columns, Empty, Facts, Loading, MoneyField, PartList, Trouble } from '../../shared/kit';
import { useChoices } from '../../shared/useChoices';
import { useUrlState } from '../../shared/urlState';
import { ScopeField } from '../rules/RuleFields';
import { StandingTabs } from '../StandingTabs';
import type { OnPart } from '../StandingTabs';
import { standingApi } from '../standingApi';

const ALL = 'all';
const OUTCOMES: Record<TestOutcome, { label: string; does: string }> = {
  good: { label: 'Proved good', does: 'enough orders since, within the target' },
  'given up': { label: 'Given up', does: 'paused, or bid no more than before' },
  open: { label: 'Open', does: 'not known yet' },
};
const isOutcome = (key: string): key is TestOutcome => key in OUTCOMES;

/** What tests of targets that are not proven yet may cost, by part of the account, and what they bought. */
export function Tests({ account, error, onPart }: PlaceProps & OnPart) {
  const { values, set } = useUrlState();
  const { data, error: fault } = useQuery({
    queryKey: ['tests', account?.id, account?.revision, account?.choices.bids],
    queryFn: () => standingApi.tests(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
  const asked = values.get('of') ?? ALL;
  const outcome = isOutcome(asked) ? asked : null;
  const trouble = error ?? fault;
  const entry = (key: TestOutcome) => ({
    key,
    label: OUTCOMES[key].label,
    does: `${formatCount(data?.by[key].tried ?? 0)}: ${OUTCOMES[key].does}`,
  });
  return (
    <Columns
      name="standing"
      left={
        <PartList
          title="Tests"
          label="Tests"
          entries={[
            { key: ALL, label: 'All tests', does: `${formatCount(data?.all.tried ?? 0)} in half a year` },
            ...(Object.keys(OUTCOMES) as TestOutcome[]).map(entry),
          ]}
          current={outcome ?? ALL}
          onChoose={(key) => set({ of: key === ALL ? null : String(key) }, true)}
        />
      }
    >
      <main className="page" tabIndex={0} aria-label="Tests">
        <StandingTabs part="tests" onPart={onPart} />
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !data ? (
          <Loading>Loading the tests …</Loading>
        ) : (
          <>
            <Bought answer={data} currency={account.currency} />
            <Allowances account={account} list={data.allowances} />
            <Tested
              list={outcome ? data.tested.filter((one) => one.outcome === outcome) : data.tested}
              currency={account.currency}
            />
          </>
        )}
      </main>
    </Columns>
  );
}

function Bought({ answer: { all, by }, currency }: { answer: TestsAnswer; currency: string }) {
  if (all.tried === 0) return null;
  const { good } = by;
  return (
    <p className="sentence">
      {formatCount(all.tried)} targets were raised to find out what they are worth, {formatCount(good.tried)}{' '}
      proved good, {formatCount(by['given up'].tried)} were given up. Since then they spent{' '}
      {formatMoney(all.spend)} {currency}; those that proved good sold {formatMoney(good.sales)}
      {good.profit !== null && good.tried > 0 ? `, ${formatMoney(good.profit)} of it left after ads` : ''}.
    </p>
  );
}

/** What tests may cost more a month: the account, and parts of it beside that. */
function Allowances({ account, list }: { account: AccountInfo; list: readonly TestAllowance[] }) {
  const { choices, setBids } = useTestChoices(account);
  const [scope, setScope] = useState<Pick<TestCap, 'kind' | 'id'> | null>(null);
  const { currency } = account;
  const put = (one: Pick<TestCap, 'kind' | 'id'>, cap: number | null) => {
    const rest = choices.testCaps.filter(({ kind, id }) => kind !== one.kind || id !== one.id);
    setBids({ testCaps: cap === null ? rest : [...rest, { kind: one.kind, id: one.id, cap }] });
  };
  return (
    <section aria-label="Allowances">
      <h2 className="part serif">Allowance</h2>
      <Facts aria-label="Allowances">
        <TableHead>
          <TableRow>
            <TableCell>Where</TableCell>
            <TableCell>More spend a month at most</TableCell>
            <TableCell className="figure">Taken in 30 days, {currency}</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {list.map(({ scope: own, name, cap, used }) => (
            <TableRow key={own ? `${own.kind} ${own.id}` : 'account'}>
              <TableCell>{name}</TableCell>
              <TableCell>
                <MoneyField
                  label={`Allowance of ${name}`}
                  isLabelled={false}
                  micros={cap}
                  currency={currency}
                  least={0}
                  step={1_000_000}
                  after={own === null ? 'empty: the usual share of what is spent' : ''}
                  onMicros={(micros) => (own === null ? setBids({ testCap: micros }) : put(own, micros))}
                  onNone={own === null ? () => setBids({ testCap: null }) : () => put(own, null)}
                />
              </TableCell>
              <TableCell className="figure">{formatMoney(used)}</TableCell>
              <TableCell>
                {own && (
                  <Button data-may="decide" variant="link" onClick={() => put(own, null)}>
                    Remove
                  </Button>
                )}
              </TableCell>
            </TableRow>
          ))}
          <TableRow>
            <TableCell>
              <ScopeField
                account={account}
                scope={scope ?? { kind: 'account', id: 0 }}
                onScope={(next) => setScope(next.kind === 'account' ? null : next)}
              />
            </TableCell>
            <TableCell>
              <Button
                data-may="decide"
                disabled={scope === null}
                onClick={() => (put(scope!, USUAL_CAP), setScope(null))}
              >
                Give it an allowance of its own
              </Button>
            </TableCell>
            <TableCell />
            <TableCell />
          </TableRow>
        </TableBody>
      </Facts>
    </section>
  );
}

/** A new allowance begins with so much a month, micros. */
const USUAL_CAP = 20_000_000;

function useTestChoices(account: AccountInfo) {
  const { choices, change } = useChoices(account);
  return { choices: choices.bids, setBids: (bids: Partial<BidChoices>) => change({ bids }) };
}

function Tested({ list, currency }: { list: readonly TestedTarget[]; currency: string }) {
  if (list.length === 0)
    return (
      <Empty why="The round proposes tests where there is room to grow, and a rule of bids may do them; what they find is told here.">
        No test yet.
      </Empty>
    );
  return (
    <section aria-label="Tested targets">
      <h2 className="part serif">Tested</h2>
      <Facts aria-label="Tested targets">
        <TableHead>
          <TableRow>
            <TableCell>Target</TableCell>
            <TableCell>Since</TableCell>
            <TableCell className="figure">Raised</TableCell>
            <TableCell className="figure">Bid before</TableCell>
            <TableCell className="figure">Bid now, {currency}</TableCell>
            <TableCell className="figure">Clicks</TableCell>
            <TableCell className="figure">Spend, {currency}</TableCell>
            <TableCell className="figure">Orders</TableCell>
            <TableCell className="figure">Sales, {currency}</TableCell>
            <TableCell>What came of it</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {list.slice(0, MOST).map((one) => (
            <TableRow key={one.targetId}>
              <TableCell>
                {one.name} <span className="faint small">{one.place}</span>
              </TableCell>
              <TableCell>{formatFullDay(one.since)}</TableCell>
              <TableCell className="figure">{formatCount(one.raises)}</TableCell>
              <TableCell className="figure">{formatMoney(one.before)}</TableCell>
              <TableCell className="figure">{formatMoney(one.now)}</TableCell>
              <TableCell className="figure">{formatCount(one.clicks)}</TableCell>
              <TableCell className="figure">{formatMoney(one.spend)}</TableCell>
              <TableCell className="figure">{formatCount(one.orders)}</TableCell>
              <TableCell className="figure">{formatMoney(one.sales)}</TableCell>
              <TableCell>{OUTCOMES[one.outcome].label.toLowerCase()}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {list.length > MOST && (
        <p className="note">
          The last {formatCount(MOST)} of {formatCount(list.length)} are shown.
        </p>
      )}
    </section>
  );
}

const MOST = 200;
