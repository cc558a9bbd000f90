import Button from '@mui/material/Button';
import { Measured, WeekGrid } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { HoursAnswer } from '../../../contract/hours';
import { OWN_PATTERN } from '../../../core/hours';
import { DAY_NAMES } from '../../../core/schedules';
import { counted, formatDay, formatShare } from '../../../core/units';
import { saveTable } from '../../shared/api';
import { pageLink } from '../../shared/frame/pages';
import { Empty, Loading, PlaceLink, Trouble } from '../../shared/kit';
import { useTell } from '../../shared/useTell';
import type { HoursState } from '../useHours';
import { differenceOf } from './difference';
import { hoursOut } from './hoursOut';
import { Weekdays } from './Weekdays';
import { ADDING_HOURS, HOURS_FROM, NO_HOURS } from '../../shared/words';

/** What comes when, and how well it sells. */
export function Picture({ account, hours }: { account: AccountInfo; hours: HoursState }) {
  const { answer, error } = hours;
  if (error) return <Trouble error={error} />;
  if (!answer) return <Loading>{ADDING_HOURS}</Loading>;
  if (answer.window === null)
    return (
      <Empty
        why={HOURS_FROM}
        next={<PlaceLink href={pageLink('setup', account.id)}>Bring in a report by hour</PlaceLink>}
      >
        {NO_HOURS}
      </Empty>
    );
  return <Shown answer={answer} hours={hours} currency={account.currency} />;
}

interface ShownProps {
  answer: HoursAnswer;
  hours: HoursState;
  currency: string;
}

function Shown({ answer, hours, currency }: ShownProps) {
  const { measure, scope, other, isDifference, beside } = hours;
  const tell = useTell();
  const save = (format: 'csv' | 'xlsx') =>
    void saveTable(format, { name: 'hours of the week', ...hoursOut(answer, currency, DAY_NAMES) }).catch(
      (error: Error) => tell(error.message, { kind: 'fault' }),
    );
  const { window, timeZone, worth, isOwn } = answer;
  const isApart = isDifference && other?.window != null;
  return (
    <>
      <p className="sentence">{worthWords(answer)}</p>
      <p className="note">
        {spanWords(window!)}, settled days alone, hours in {timeZone}; {counted(worth.orders, 'order')}.{' '}
        {(scope === 'line' || scope === 'product') &&
          'Hours are reported by campaign: these are of all campaigns that advertise it, with whatever else they advertise. '}
        {!isOwn &&
          `With fewer than ${counted(OWN_PATTERN, 'order')} of its own, what is shown of how clicks sell is the pattern of the whole account.`}
      </p>
      <h2 className="serif part">
        {measure.label}{' '}
        <span className="faint small">
          {isApart ? `Less that of ${spanWords(other.window!)}. ${measure.does}` : measure.does}
        </span>
      </h2>
      <Grid answer={answer} other={isApart ? other : null} measure={measure} />
      {beside !== null && !isDifference && other && (
        <>
          <h2 className="serif part">
            {other.window ? spanWords(other.window) : 'The other weeks'}{' '}
            <span className="faint small">{counted(other.worth.orders, 'order')}</span>
          </h2>
          {other.window ? (
            <Grid answer={other} other={null} measure={measure} />
          ) : (
            <p className="note">No hours are known of these weeks.</p>
          )}
        </>
      )}
      <div className="bar">
        <span className="faint">Export the hours:</span>
        <Button onClick={() => save('csv')}>CSV</Button>
        <Button onClick={() => save('xlsx')}>XLSX</Button>
      </div>
      {measure.base === 1 && (
        <p className="note">
          A coloured hour surely sells better (blue-green) or worse (red-brown) than usual; a hatched one may
          be as usual, and its figure is where the rest of the week holds it. Bars are weekdays and hours
          alone, with 80 % intervals. Hours in which money was gone count by the clicks that they had: they do
          not look weak for it.
        </p>
      )}
      <Weekdays answer={answer} currency={currency} />
    </>
  );
}

interface GridProps {
  answer: HoursAnswer;
  /** Told as the difference to these. */
  other: HoursAnswer | null;
  measure: HoursState['measure'];
}

function Grid({ answer, other, measure }: GridProps) {
  const picture = measure.picture(answer);
  const shown = other
    ? differenceOf(picture, measure.picture(other), measure)
    : { ...picture, base: measure.base };
  const { cells, ...margins } = shown;
  return (
    <Measured>
      {(width) => (
        <WeekGrid
          caption={`${measure.label} by weekday and hour${other ? ', difference' : ''}. ${measure.does}.`}
          cells={cells}
          margins={margins}
          dayNames={DAY_NAMES}
          width={width}
        />
      )}
    </Measured>
  );
}

const spanWords = ({ from, to }: { from: string; to: string }) => `${formatDay(from)} – ${formatDay(to)}`;

/** Whether bids by the hour would pay, as far as it can be told. */
function worthWords({ worth }: HoursAnswer): string {
  const { orders, gain, least, isWorthIt } = worth;
  if (orders === 0) return 'Nothing sold in these hours.';
  if (isWorthIt)
    return `Bids that follow these hours would sell about ${formatShare(gain)} more at the same ACOS.`;
  return gain >= least
    ? `There may be a pattern, but ${counted(orders, 'order')} ${orders === 1 ? 'is' : 'are'} too few to bid by it.`
    : `No pattern worth a schedule: at most ${formatShare(gain)}.`;
}
