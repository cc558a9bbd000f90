import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Measured, WeekGrid } from '../../charts';
import type { HoursAnswer } from '../../contract/hours';
import { OWN_PATTERN } from '../../core/hours';
import { formatCount, formatDay, formatShare } from '../../core/units';
import { pageLink } from '../shared/frame/pages';
import type { PlaceProps } from '../shared/frame/place';
import { Choice, Columns, Empty, Loading, PartList, PlaceLink, Trouble } from '../shared/kit';
import { saveTable } from '../shared/api';
import { useTell } from '../shared/useTell';
import { hoursOut } from './hoursOut';
import { HOUR_MEASURES } from './measures';
import { useHours, WEEKS } from './useHours';
import { WhoseHours } from './WhoseHours';

const DAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The hours of the week: what comes when, how well it sells, and whether bids by the hour would pay. */
export function Place({ account, error }: PlaceProps) {
  const hours = useHours(account);
  const { answer, measure } = hours;
  const trouble = error ?? hours.error;
  return (
    <Columns
      name="hours"
      left={
        <PartList
          title="Hours"
          label="What is shown of an hour"
          entries={HOUR_MEASURES.map(({ name, label, does }) => ({ key: name, label, does }))}
          current={measure.name}
          onChoose={(name) => hours.setMeasure(String(name))}
        >
          <Box sx={{ display: 'grid', gap: '8px', padding: '10px 16px' }}>
            {account && <WhoseHours account={account} hours={hours} />}
            <Choice
              label="Over"
              isLabelled
              value={hours.weeks}
              onChange={(next) => hours.setWeeks(Number(next))}
            >
              {WEEKS.map((one) => [one, `${one} weeks`] as const)}
            </Choice>
          </Box>
        </PartList>
      }
    >
      <main className="page" tabIndex={0} aria-label="Hours of the week">
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !answer ? (
          <Loading>Adding up the hours …</Loading>
        ) : answer.window === null ? (
          <Empty
            why="Hours are told from the report by campaign and hour, a whole settled week of it at least."
            next={<PlaceLink href={pageLink('setup', account.id)}>Bring in a report by hour</PlaceLink>}
          >
            No hours are known yet.
          </Empty>
        ) : (
          <Shown
            answer={answer}
            measure={measure}
            currency={account.currency}
            isByCampaigns={hours.scope === 'line' || hours.scope === 'product'}
          />
        )}
      </main>
    </Columns>
  );
}

interface ShownProps {
  answer: HoursAnswer;
  measure: (typeof HOUR_MEASURES)[number];
  currency: string;
  /** Whether they are of a line or product, whose hours are those of campaigns. */
  isByCampaigns: boolean;
}

function Shown({ answer, measure, currency, isByCampaigns }: ShownProps) {
  const tell = useTell();
  const save = (format: 'csv' | 'xlsx') =>
    void saveTable(format, { name: 'hours of the week', ...hoursOut(answer, currency, DAY_NAMES) }).catch(
      (error: Error) => tell(error.message, { kind: 'fault' }),
    );
  const { window, timeZone, worth, isOwn } = answer;
  const picture = measure.picture(answer);
  return (
    <>
      <p className="sentence">{worthWords(answer)}</p>
      <p className="note">
        {formatDay(window!.from)} – {formatDay(window!.to)}, settled days alone, hours in {timeZone};{' '}
        {formatCount(worth.orders)} orders.{' '}
        {isByCampaigns &&
          'Hours are reported by campaign: these are of all campaigns that advertise it, with whatever else they advertise. '}
        {!isOwn &&
          `With fewer than ${formatCount(OWN_PATTERN)} orders of its own, what is shown of how clicks sell is the pattern of the whole account.`}
      </p>
      <h2 className="serif part">
        {measure.label} <span className="faint small">{measure.does}</span>
      </h2>
      <Measured>
        {(width) => (
          <WeekGrid
            caption={`${measure.label} by weekday and hour. ${measure.does}.`}
            {...picture}
            base={measure.base}
            dayNames={DAY_NAMES}
            width={width}
          />
        )}
      </Measured>
      <div className="bar">
        <span className="faint">Export the hours:</span>
        <Button onClick={() => save('csv')}>CSV</Button>
        <Button onClick={() => save('xlsx')}>XLSX</Button>
      </div>
      {measure.base === 1 && (
        <p className="note">
          A coloured hour surely sells better (blue-green) or worse (red-brown) than usual; a hatched one may
          be as usual, and its figure is where the rest of the week holds it. Bars are weekdays and hours
          alone, with 80 % intervals.
        </p>
      )}
    </>
  );
}

/** Whether bids by the hour would pay, as far as it can be told. */
function worthWords({ worth }: HoursAnswer): string {
  const { orders, gain, least, isWorthIt } = worth;
  if (orders === 0) return 'Nothing sold in these hours.';
  if (isWorthIt)
    return `Bids that follow these hours would sell about ${formatShare(gain)} more at the same ACOS.`;
  return gain >= least
    ? `There may be a pattern, but ${formatCount(orders)} orders are too few to bid by it.`
    : `No pattern here is worth a schedule: bids by the hour would gain about ${formatShare(gain)}.`;
}
