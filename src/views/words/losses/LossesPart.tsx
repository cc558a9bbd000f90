import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { LOSS_STATES } from '../../../contract/aside';
import type { LossInfo, LossRequest, LossState } from '../../../contract/aside';
import { counted, DASH, formatCount, formatDay, formatMoney, MICROS_PER_UNIT } from '../../../core/units';
import { api, saveTable } from '../../shared/api';
import { pageLink } from '../../shared/frame/pages';
import { Empty, Facts, Loading, PlaceLink, Trouble } from '../../shared/kit';
import { LossDialog } from '../../shared/losses/LossDialog';
import { useTell } from '../../shared/useTell';
import { Head } from '../Head';
import { rankText } from '../../shared/rank/rankWords';
import type { PlainPartProps } from '../wordsPartProps';

const STATE_WORDS: Record<LossState, string> = {
  standing: 'Stands',
  soon: 'Ends within a week',
  over: 'Lost more than accepted',
  ended: 'Ended',
};

/** All accepted losses: what each costs, what rank and organic sales did, and what to do when it ends. */
export function LossesPart({ account }: PlainPartProps) {
  const client = useQueryClient();
  const tell = useTell();
  const [state, setState] = useState<LossState | 'all'>('all');
  const [renewed, setRenewed] = useState<LossInfo | null>(null);
  const { data, error } = useQuery({
    queryKey: ['losses', account.id, account.revision],
    queryFn: () => api.losses(account.id),
  });
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading>Adding up what was accepted …</Loading>;
  const { losses } = data;
  const shown = losses.filter((one) => state === 'all' || one.state === state);
  const change = async (request: Omit<LossRequest, 'account'>, said: (staged: number) => string) => {
    try {
      const { staged } = await api.changeLosses({ account: account.id, ...request });
      for (const key of ['losses', 'aside', 'rank', 'notes', 'changes'])
        await client.invalidateQueries({ queryKey: [key] });
      tell(said(staged.length));
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
    }
  };
  const live = losses.filter((one) => one.state !== 'ended');
  const lost = live.reduce((sum, { cost30 }) => sum + Math.max(0, cost30 ?? 0), 0);
  return (
    <main className="page">
      <Head>
        {losses.length === 0
          ? 'No loss was accepted yet.'
          : `${formatCount(live.length)} accepted ${live.length === 1 ? 'loss' : 'losses'}; of late ${live.length === 1 ? 'it costs' : 'they cost'} ${formatMoney(lost)} ${account.currency} in 30 days above the target ACOS.`}
      </Head>
      {losses.length === 0 ? (
        <Empty
          why="A loss above the target ACOS can be worth it, for the rank that it holds. Accept one at a target or campaign in the Field, in the round, or at a term under Rank; its bid is then left alone until a day."
          next={<PlaceLink href={`${pageLink('words', account.id)}&part=rank`}>See ranks</PlaceLink>}
        >
          Nothing is lost on purpose.
        </Empty>
      ) : (
        <>
          <div className="bar">
            <ToggleButtonGroup
              size="small"
              exclusive
              value={state}
              onChange={(_, next: LossState | 'all' | null) => next && setState(next)}
              aria-label="Losses shown"
            >
              {(['all', ...LOSS_STATES] as const).map((one) => (
                <ToggleButton key={one} value={one}>
                  {one === 'all' ? 'All' : STATE_WORDS[one]}{' '}
                  {formatCount(losses.filter((loss) => one === 'all' || loss.state === one).length)}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <span className="room" />
            <Button
              onClick={() =>
                void saveTable(
                  'csv',
                  lossTable(shown, account.currency, `${account.name} accepted losses`),
                ).catch((fault: Error) => tell(fault.message, { kind: 'fault' }))
              }
            >
              CSV
            </Button>
          </div>
          <Facts aria-label="Accepted losses">
            <TableHead>
              <TableRow>
                <TableCell>What</TableCell>
                <TableCell>Why</TableCell>
                <TableCell>From – until</TableCell>
                <TableCell className="figure">Cost so far {account.currency}</TableCell>
                <TableCell className="figure">In 30 days</TableCell>
                <TableCell className="figure">At most</TableCell>
                <TableCell className="figure">Rank</TableCell>
                <TableCell className="figure">Organic sales a month</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {shown.map((one) => (
                <TableRow key={one.subject}>
                  <TableCell>
                    <strong>{one.name}</strong> <span className="faint">{one.place}</span>
                  </TableCell>
                  <TableCell>{one.note || <span className="faint">{DASH}</span>}</TableCell>
                  <TableCell>
                    {formatDay(one.from)} – {formatDay(one.endedOn ?? one.until)}{' '}
                    <span className={one.state === 'over' || one.state === 'soon' ? 'over' : 'faint'}>
                      {STATE_WORDS[one.state].toLowerCase()}
                    </span>
                  </TableCell>
                  <TableCell className="figure">{lossText(one.cost)}</TableCell>
                  <TableCell className="figure">{lossText(one.cost30)}</TableCell>
                  <TableCell className="figure">{one.most === null ? DASH : formatMoney(one.most)}</TableCell>
                  <TableCell className="figure">
                    {rankText(one.rankBefore)} → {rankText(one.rankNow)}
                  </TableCell>
                  <TableCell className="figure">
                    {lossText(one.organicBefore)} → {lossText(one.organicNow)}
                  </TableCell>
                  <TableCell className="figure">
                    <Button
                      sx={{ padding: '0 6px' }}
                      aria-label={`Renew ${one.name}`}
                      onClick={() => setRenewed(one)}
                    >
                      Renew
                    </Button>
                    {one.state !== 'ended' && (
                      <>
                        <Button
                          sx={{ padding: '0 6px' }}
                          aria-label={`End ${one.name}`}
                          onClick={() =>
                            void change(
                              { subjects: [one.subject], does: 'end' },
                              () => `The loss of ${one.name} is accepted no longer.`,
                            )
                          }
                        >
                          End
                        </Button>
                        <Button
                          sx={{ padding: '0 6px' }}
                          aria-label={`Change the bid of ${one.name}`}
                          title="Ends it, and puts the bid that is proposed into the tray"
                          onClick={() =>
                            void change({ subjects: [one.subject], does: 'bid' }, (staged) =>
                              staged > 0
                                ? `${counted(staged, 'bid change')} of ${one.name} went to the tray; the loss has ended.`
                                : `The loss of ${one.name} has ended; no lower bid is proposed now.`,
                            )
                          }
                        >
                          Bid change
                        </Button>
                      </>
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Facts>
        </>
      )}
      {renewed && (
        <LossDialog
          what={renewed.name}
          today={account.today}
          currency={account.currency}
          start={renewed}
          onDone={(loss) => {
            const { subject, name } = renewed;
            setRenewed(null);
            if (loss)
              void change(
                { subjects: [subject], does: 'accept', ...loss },
                () => `The loss of ${name} is accepted until ${formatDay(loss.until)}.`,
              );
          }}
        />
      )}
    </main>
  );
}

const lossText = (micros: number | null) => (micros === null ? DASH : formatMoney(micros));

function lossTable(losses: readonly LossInfo[], currency: string, name: string) {
  const money = (micros: number | null) =>
    micros === null ? null : Number((micros / MICROS_PER_UNIT).toFixed(2));
  return {
    name,
    headings: [
      'What',
      'Where',
      'Why',
      'From',
      'Until',
      'State',
      `Cost so far ${currency}`,
      `In 30 days ${currency}`,
      `At most ${currency}`,
      'Rank before',
      'Rank now',
    ],
    rows: losses.map((one) => [
      one.name,
      one.place,
      one.note,
      one.from,
      one.endedOn ?? one.until,
      STATE_WORDS[one.state].toLowerCase(),
      money(one.cost),
      money(one.cost30),
      money(one.most),
      rankText(one.rankBefore),
      rankText(one.rankNow),
    ]),
  };
}
