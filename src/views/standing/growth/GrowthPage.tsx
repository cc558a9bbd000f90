import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import { formatFullDay, formatMoney } from '../../../core/units';
import { Fault, Loading, Progress, Trouble } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { PlayPart } from '../play/PlayPart';
import { FIRST_PLAY, usePlay } from '../play/usePlay';
import { Tried } from '../rules/Tried';
import { mayBeOn, StandingBar } from '../StandingBar';
import { useTry } from '../rules/useTry';
import { useRules } from '../useRules';
import { asksWords, beforeWords, rhythmWords } from '../words';
import { Forecast } from './Forecast';
import { GrowthForm } from './GrowthForm';
import { OverTime } from './OverTime';
import { Stages } from './Stages';
import { Done, Tonight } from './Steps';
import { useGrowth } from './useGrowth';

/** A growth plan: where its money is, its campaigns by stage, what it would do tonight, what it did, and what it goes by. */
export function GrowthPage({ account, id }: { account: AccountInfo; id: number }) {
  const rules = useRules(account);
  const { data: growth, error, put } = useGrowth(account, id);
  const info = rules.data?.rules.find((one) => one.id === id);
  if (error || rules.error) return <Trouble error={(error ?? rules.error)!} />;
  if (!growth || !info) return <Loading>Looking at the plan …</Loading>;
  return <Plan account={account} growth={{ ...growth, info }} rules={rules} put={put} />;
}

/** A plan is looked at over its first fortnight before it starts. */
const PREVIEW_WEEKS = 2;

interface PlanProps {
  account: AccountInfo;
  growth: NonNullable<ReturnType<typeof useGrowth>['data']>;
  rules: ReturnType<typeof useRules>;
  put: ReturnType<typeof useGrowth>['put'];
}

function Plan({ account, growth, rules, put }: PlanProps) {
  const { info, product } = growth;
  const { rule, isOn, stoppedWhy, canPlay, nextNight } = info;
  const plan = rule.growth!;
  const { answer, isTrying, error, tryOut } = useTry(account, info, rules);
  const play = usePlay(account, info);
  const turn = (on: boolean) => void rules.turn(info, on);
  useKeys({
    o: () => (isOn || mayBeOn(info)) && turn(!isOn),
    y: () => void tryOut(),
    p: () => canPlay && void play.play(PREVIEW_WEEKS, FIRST_PLAY.markets),
  });
  return (
    <>
      <header>
        <p className="sentence">
          {product}: {formatMoney(plan.total)} {account.currency} a day over three stages,{' '}
          {rhythmWords(rule.rhythm)}; {asksWords(rule)}.
        </p>
        <StandingBar
          info={info}
          isTrying={isTrying}
          isAnswered={answer !== null}
          onTurn={(on) => void rules.turn(info, on)}
          onTry={() => void tryOut()}
          words={[
            ...(rule.sends && !mayBeOn(info) ? [beforeWords(info)] : []),
            ...(isOn && nextNight ? [`Next night: ${formatFullDay(nextNight)}.`] : []),
          ].join(' ')}
        >
          <Button
            data-may="send"
            onClick={() => void rules.remove(info)}
            title="Its campaigns go on with the budgets they have now; given back first, each gets the one it came with"
          >
            Remove
          </Button>
        </StandingBar>
        {stoppedWhy && (
          <Alert severity="warning" sx={{ padding: '0 12px', marginTop: '4px' }}>
            It stopped by itself. {stoppedWhy}
          </Alert>
        )}
        <Fault error={error} />
      </header>
      <div className="planScroll">
        {answer && <Tried account={account} answer={answer} isWhole={!isTrying} />}
        {isTrying && (
          <Progress label="Trying" share={null}>
            Looking at tonight …
          </Progress>
        )}
        <Stages account={account} growth={growth} onPut={put} />
        <Tonight growth={growth} />
        <Forecast account={account} growth={growth} />
        <OverTime growth={growth} />
        <h2 className="part serif">What it goes by</h2>
        <GrowthForm account={account} rule={rule} onRule={(change) => void rules.edit(info, change)} />
        {canPlay && (
          <PlayPart
            account={account}
            state={play}
            weeks={PREVIEW_WEEKS}
            does="The first fortnight of the plan on simulated markets like this product, before it starts."
          />
        )}
        <Done growth={growth} />
      </div>
    </>
  );
}
