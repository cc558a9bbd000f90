import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RefObject } from 'react';
import type { AcosBands, HandStep } from '../../../core/changes';
import { lensNamed } from '../../../core/lenses';
import { MICROS_PER_UNIT, formatCount, readNumber } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import type { LoadedLens } from '../../../plans/field';
import { countWords } from '../../shared/rowRequest';
import { useRemembered } from '../../shared/useRemembered';
import { USUAL_BANDS } from '../../../plans/byHand';
import { BandsForm } from './BandsForm';
import { PlaceSettings } from './PlaceSettings';
import { PlanWords } from './PlanWords';
import type { Staged } from '../../../plans/byHand';
import { TermActs } from './TermActs';
import { useHandPlan } from './useHandPlan';
import { clickPriceWords, hasBids } from '../../shared/offered';
import { Choice, TextBox } from '../../shared/kit';
import { expectedWords } from '../../shared/tray/money';
import type { Option } from '../../shared/kit';

interface ChangeBarProps {
  account: AccountInfo;
  loaded: LoadedLens;
  /** The selected rows, or the focused one. */
  chosen: number[];
  selected: number;
  staged: Staged;
  onStage: (changes: NewChange[]) => void;
  inputRef: RefObject<{ focus: () => void } | null>;
}

type StepKind = HandStep['kind'];

const STEPS: { kind: StepKind; label: string; unit: 'percent' | 'value' | null; bidsOnly?: boolean }[] = [
  { kind: 'percent', label: 'by %', unit: 'percent' },
  { kind: 'amount', label: 'by amount', unit: 'value' },
  { kind: 'value', label: 'to value', unit: 'value' },
  { kind: 'cpc', label: 'to CPC', unit: null, bidsOnly: true },
  { kind: 'wanted', label: 'to the wanted bid', unit: null, bidsOnly: true },
  { kind: 'bands', label: 'by ACOS bands', unit: null, bidsOnly: true },
  { kind: 'suggested', label: 'to the market’s suggestion', unit: null, bidsOnly: true },
  { kind: 'floor', label: 'to the floor', unit: null },
];
const NAMES = { bid: 'Bids', budget: 'Budgets', modifier: 'Modifiers', price: '', none: '' } as const;

/** Changes made by hand on the chosen rows: seen before they are staged, told what they come to. */
export function ChangeBar({ account, loaded, chosen, selected, staged, onStage, inputRef }: ChangeBarProps) {
  const { table } = loaded;
  const [kind, setKind] = useState<StepKind>('percent');
  const [text, setText] = useState('-15');
  const [againToo, setAgainToo] = useState(false);
  const { entity, value, sets, whyNotSet: why, pauses } = lensNamed(table.lens);
  const isOnePrice = value === 'bid' && !hasBids(account);
  const isSettable = sets && !isOnePrice;
  const whyNotSet = isOnePrice ? clickPriceWords(account) : why;
  const steps = STEPS.filter(({ bidsOnly }) => !bidsOnly || value === 'bid');
  const chosenKind = steps.some((one) => one.kind === kind) ? kind : 'percent';
  const [bands, setBands] = useRemembered<AcosBands>('acos-bands', USUAL_BANDS);
  const step = isSettable ? readStep(chosenKind, text, value === 'modifier', bands) : null;
  const { plan, pausing, resuming, asking, error } = useHandPlan({
    account,
    loaded,
    chosen,
    staged,
    step,
    againToo,
  });
  const { unit } = steps.find((one) => one.kind === chosenKind)!;
  return (
    <Box
      component="form"
      aria-label="Change by hand"
      data-may="decide"
      className="bar"
      sx={{ padding: '3px 16px', borderTop: '1px solid var(--hairline)', minHeight: 30 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (plan && plan.changes.length > 0) onStage(plan.changes);
      }}
    >
      <Box component="span" className="faint" sx={{ whiteSpace: 'nowrap' }}>
        {selected > 0 ? `${countWords(table.lens, selected)} selected` : 'The focused row'}
      </Box>
      {isSettable && (
        <>
          <span className="bar">
            {NAMES[value]}
            <Choice
              label="How"
              value={chosenKind}
              onChange={(next) => setKind(next as StepKind)}
              inputRef={inputRef}
            >
              {steps.map((one): Option => [one.kind, one.label])}
            </Choice>
            {unit && (
              <>
                <TextBox
                  className="figure"
                  inputMode="decimal"
                  aria-label={unit === 'percent' ? 'Per cent' : 'Value'}
                  letters={5}
                  value={text}
                  onChange={(event) => setText(event.target.value)}
                />
                {unit === 'percent' || value === 'modifier' ? '%' : account.currency}
              </>
            )}
            {chosenKind === 'bands' && (
              <BandsForm bands={bands} currency={account.currency} onBands={setBands} />
            )}
          </span>
          {plan && (
            <PlanWords
              plan={plan}
              isShare={value === 'modifier'}
              currency={account.currency}
              againToo={againToo}
              onAgainToo={setAgainToo}
            />
          )}
          {asking && <span className="faint">{asking}</span>}
          {error && (
            <span role="alert" className="over">
              {error.message}
            </span>
          )}
          <Button type="submit" variant="contained" disabled={!plan || plan.changes.length === 0}>
            Stage {plan && plan.changes.length > 0 ? formatCount(plan.changes.length) : ''}
          </Button>
        </>
      )}
      {!isSettable && entity !== 'term' && <span className="faint">{whyNotSet}</span>}
      {entity === 'term' && <TermActs account={account} loaded={loaded} chosen={chosen} onStage={onStage} />}
      {(pauses === 'campaign' || pauses === 'ad-group') && (
        <PlaceSettings account={account} loaded={loaded} chosen={chosen} onStage={onStage} />
      )}
      {pausing.length > 0 && (
        <Button
          onClick={() => onStage(pausing)}
          title={`Pause (p): ${expectedWords(pausing, account.currency)}`}
        >
          Pause {pausing.length}
        </Button>
      )}
      {resuming.length > 0 && (
        <Button onClick={() => onStage(resuming)} title="Resume (p)">
          Resume {resuming.length}
        </Button>
      )}
    </Box>
  );
}

function readStep(kind: StepKind, text: string, isShare: boolean, bands: AcosBands): HandStep | null {
  const number = readNumber(text) ?? NaN;
  const isNumber = Number.isFinite(number);
  const toValue = (value: number) => (isShare ? value / 100 : Math.round(value * MICROS_PER_UNIT));
  switch (kind) {
    case 'percent':
      return isNumber && number > -100 && number <= 900 ? { kind, by: number / 100 } : null;
    case 'amount':
      return isNumber ? { kind, by: toValue(number) } : null;
    case 'value':
      return isNumber && number >= 0 ? { kind, to: toValue(number) } : null;
    case 'bands':
      return { kind, ...bands };
    default:
      return { kind };
  }
}
