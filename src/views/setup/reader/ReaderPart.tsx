import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import { navigate } from 'wouter/use-browser-location';
import type { AccountInfo } from '../../../contract/api';
import { pageLink } from '../../shared/frame/pages';
import { Choice, Field } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { NUMBER_LOCALES, chooseLocale, chosenLocale } from '../../shared/reader';
import { takeTourAgain } from '../../shared/tour';
import { PartHead } from '../PartHead';

const EXAMPLE = 1234567.89;
const example = (locale: string | undefined) =>
  new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(EXAMPLE);

/** How this browser shows Mowing to its reader. */
export function ReaderPart({ account }: { account: AccountInfo }) {
  const { mode, setMode } = useColorScheme();
  return (
    <>
      <PartHead title="How you read">
        Kept in this browser. Files always use ISO days and a decimal point.
      </PartHead>
      <div className="fields">
        <Field label="Figures">
          <Choice
            label="Figures"
            value={chosenLocale() ?? ''}
            onChange={(next) => {
              chooseLocale(next === '' ? null : next);
              // Places that were left and workers hold figures written the other way.
              location.reload();
            }}
          >
            {[
              ['', `as the browser: ${example(undefined)}`],
              ...NUMBER_LOCALES.map((one): Option => [one, example(one)]),
            ]}
          </Choice>
        </Field>
        <Field label="Theme">
          <Choice label="Theme" value={mode ?? 'system'} onChange={(next) => setMode(next as 'light')}>
            {[
              ['system', 'as the system'],
              ['light', 'daylight'],
              ['dark', 'dusk'],
            ]}
          </Choice>
        </Field>
        <Field label="Tour of the Round">
          <Button
            variant="outlined"
            onClick={() => {
              takeTourAgain();
              navigate(pageLink('round', account.id));
            }}
          >
            Take it again
          </Button>
        </Field>
      </div>
    </>
  );
}
