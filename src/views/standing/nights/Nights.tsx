import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { NightInfo } from '../../../contract/rules';
import { counted, formatCount, formatFullDay, formatMoney } from '../../../core/units';
import { pageLink } from '../../shared/frame/pages';
import type { PlaceProps } from '../../shared/frame/place';
import { Columns, Empty, Facts, Loading, PartList, PlaceLink, Progress, Trouble } from '../../shared/kit';
import { useUrlState } from '../../shared/urlState';
import { useTell } from '../../shared/useTell';
import { StandingTabs } from '../StandingTabs';
import type { OnPart } from '../StandingTabs';
import { standingApi } from '../standingApi';
import { useJob } from '../useJob';
import { leftWords, madeWords } from '../words';
import { HookDialog } from './HookDialog';
import { SoFar } from './SoFar';

const ALL = 'all';

/** What the nights did: by rule, with what was left and why, and the way back. */
export function Nights({ account, error, onPart }: PlaceProps & OnPart) {
  const { values, set } = useUrlState();
  const client = useQueryClient();
  const tell = useTell();
  const nights = useQuery({
    queryKey: ['nights', account?.id, account?.revision],
    queryFn: () => standingApi.nights(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
    refetchInterval: ({ state }) => (state.data?.nights.some(isOpen) ? 2000 : false),
  });
  const all = nights.data?.nights ?? [];
  const rule = values.get('rule') ?? ALL;
  const shown = rule === ALL ? all : all.filter(({ ruleId }) => String(ruleId) === rule);
  const rules = [...new Map(all.map((one) => [one.ruleId, one.rule])).entries()];
  const [isTelling, setTelling] = useState(false);
  const look = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) =>
        ['nights', 'rules', 'growth', 'changes', 'bales'].includes(String(queryKey[0])),
    });
  const job = useJob(account, async ({ state, message }) => {
    tell(message, state === 'failed' ? { kind: 'fault' } : {});
    await look();
  });
  const told = async (work: () => Promise<string>) => {
    try {
      tell(await work());
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
    }
    await look();
  };
  const trouble = error ?? nights.error;
  return (
    <Columns
      name="standing"
      left={
        <PartList
          title="Nights"
          label="Rules"
          entries={[
            { key: ALL, label: 'Everything', does: counted(all.length, 'night') },
            ...rules.map(([id, name]) => ({
              key: String(id),
              label: name,
              does: counted(all.filter(({ ruleId }) => ruleId === id).length, 'night'),
            })),
          ]}
          current={rule}
          onChoose={(next) => set({ rule: next === ALL ? null : String(next) }, true)}
        >
          <div className="besideList">
            <Button
              disabled={!account?.connected || job.isUnderWay}
              title="Runs what is due, as the night would"
              onClick={() =>
                void told(async () => {
                  job.follow((await standingApi.runNow(account!.id)).jobId);
                  return 'The night of this account runs now.';
                })
              }
            >
              Run now
            </Button>
            <Button disabled={!account} onClick={() => setTelling(true)}>
              Tell another program …
            </Button>
          </div>
        </PartList>
      }
    >
      <main className="page" tabIndex={0} aria-label="Nights">
        <StandingTabs part="nights" onPart={onPart} />
        {job.isUnderWay && (
          <Progress label="The night" share={job.share}>
            The rules look …
          </Progress>
        )}
        {account && rule !== ALL && <SoFar account={account} rule={Number(rule)} />}
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !nights.data ? (
          <Loading>Loading the nights …</Loading>
        ) : shown.length === 0 ? (
          <Empty why="A rule that is on looks after the nightly sync, or at once when you run it.">
            No night yet.
          </Empty>
        ) : (
          <Facts aria-label="Nights">
            <TableHead>
              <TableRow>
                <TableCell>Night</TableCell>
                <TableCell>Rule</TableCell>
                <TableCell>What it did</TableCell>
                <TableCell className="figure">Spend, {account.currency} a month</TableCell>
                <TableCell className="figure">Sales, {account.currency} a month</TableCell>
                <TableCell>What became of it</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {shown.map((night) => (
                <TableRow key={night.id}>
                  <TableCell>{formatFullDay(night.day)}</TableCell>
                  <TableCell>{night.rule}</TableCell>
                  <TableCell>
                    {night.state === 'skipped' ? 'did not look' : madeWords(night)}
                    <div className="faint small">{night.why ?? leftWords(night)}</div>
                  </TableCell>
                  <TableCell className="figure">{formatMoney(night.spend)}</TableCell>
                  <TableCell className="figure">{formatMoney(night.sales)}</TableCell>
                  <TableCell>{becameWords(night)}</TableCell>
                  <TableCell>
                    <span className="bar">
                      {night.baleId !== null && (
                        <PlaceLink href={`${pageLink('ledger', account.id)}&bale=${night.baleId}`}>
                          In the ledger
                        </PlaceLink>
                      )}
                      {night.staged + night.accepted > night.undone && (
                        <Button
                          variant="link"
                          onClick={() =>
                            void told(async () => {
                              const { takenOut, staged } = await standingApi.undo(account.id, night.id);
                              return undoneWords(takenOut, staged.length);
                            })
                          }
                        >
                          Undo the night
                        </Button>
                      )}
                    </span>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Facts>
        )}
      </main>
      {isTelling && account && <HookDialog account={account} onDone={() => setTelling(false)} />}
    </Columns>
  );
}

const isOpen = ({ state, staged, sends }: NightInfo) => state === 'planned' || (sends && staged > 0);

function becameWords({ staged, accepted, refused, undone, made }: NightInfo): string {
  const parts: [number, string][] = [
    [staged, 'in the tray'],
    [accepted, 'accepted'],
    [refused, 'refused'],
    [undone, 'undone'],
  ];
  const told = parts.flatMap(([count, words]) => (count > 0 ? [`${formatCount(count)} ${words}`] : []));
  return told.length > 0 ? told.join(', ') : made > 0 ? 'taken out of the tray' : '';
}

const undoneWords = (takenOut: number, staged: number): string =>
  [
    ...(takenOut > 0 ? [`${counted(takenOut, 'change')} taken out of the tray.`] : []),
    ...(staged > 0 ? [`${counted(staged, 'change')} put to the tray the other way round: send them.`] : []),
  ].join(' ') || 'Everything of it was set otherwise since: nothing was taken back.';
