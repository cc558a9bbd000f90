import type { AccountInfo } from '../../contract/api';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { Columns, Loading, PartList, Tabs, Trouble } from '../shared/kit';
import { Periods } from './picture/Periods';
import { Picture } from './picture/Picture';
import { HOUR_MEASURES } from './picture/measures';
import { WhoseHours } from './picture/WhoseHours';
import { Schedules } from './schedules/Schedules';
import { Trials } from './trials/Trials';
import { useHours } from './useHours';
import type { HourPart, HoursState } from './useHours';
import { ADDING_HOURS } from '../shared/words';

/** Keys of the week that is painted: they hold while the focus is in it. */
const KEYS: readonly KeyLine[] = [
  ['↑ ↓ ← →', 'in the week: hour by hour; with Shift, choose more; w the whole week'],
  ['Space + − 0 o', 'in the week: paint, raise, lower, as is, off'],
  ['c v z', 'in the week: copy a day, lay it on those chosen, take back'],
];

const PARTS: readonly { name: HourPart; label: string }[] = [
  { name: 'picture', label: 'Picture' },
  { name: 'schedules', label: 'Schedules' },
  { name: 'trials', label: 'Trials by weeks' },
];

/** The hours of the week: what comes when, how well it sells, schedules that follow it, and trials that prove what they do. */
export function Place({ account, error }: PlaceProps) {
  const hours = useHours(account);
  useOffer(KEYS);
  return (
    <Columns
      name="hours"
      left={
        <PartList
          title="Hours"
          label="What is shown of an hour"
          entries={HOUR_MEASURES.map(({ name, label, does }) => ({ key: name, label, does }))}
          current={hours.part === 'picture' ? hours.measure.name : undefined}
          onChoose={(name) => {
            if (hours.part !== 'picture') hours.setPart('picture');
            hours.setMeasure(String(name));
          }}
        >
          {hours.part === 'picture' && account && (
            <div className="besideList">
              <WhoseHours account={account} hours={hours} />
              <Periods account={account} hours={hours} />
            </div>
          )}
        </PartList>
      }
    >
      <main className="page" tabIndex={0} aria-label="Hours of the week">
        <Tabs label="Parts of hours" value={hours.part} onChange={hours.setPart}>
          {PARTS}
        </Tabs>
        {error ? (
          <Trouble error={error} />
        ) : account ? (
          <Part account={account} hours={hours} />
        ) : (
          <Loading>{ADDING_HOURS}</Loading>
        )}
      </main>
    </Columns>
  );
}

function Part({ account, hours }: { account: AccountInfo; hours: HoursState }) {
  switch (hours.part) {
    case 'picture':
      return <Picture account={account} hours={hours} />;
    case 'schedules':
      return <Schedules key={account.id} account={account} onTrials={() => hours.setPart('trials')} />;
    case 'trials':
      return <Trials key={account.id} account={account} />;
  }
}
