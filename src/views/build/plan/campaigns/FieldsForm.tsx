import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../../contract/api';
import { FLEXES, MAX_MODIFIER, PACINGS, SIMILAR } from '../../../../core/changes';
import type { CampaignFields } from '../../../../core/changes';
import { PLACEMENT_LABELS, PLACEMENTS } from '../../../../core/structure';
import { Check, Choice, DayField, ShareField } from '../../../shared/kit';
import type { Option } from '../../../shared/kit';

interface FieldsFormProps {
  account: AccountInfo;
  fields: CampaignFields;
  onFields: (change: Partial<CampaignFields>) => void;
}

/** The days of a campaign, and what holds where none is set. */
const DAYS = [
  ['startsOn', 'starts', 'at once'],
  ['endsOn', 'ends', 'without an end'],
] as const;
const PACE_WORDS = { even: 'evenly', fast: 'as fast as it can' };

/** Days, money, pacing, flex and modifiers of campaigns that are to be made; what the market does not offer is not shown. */
export function FieldsForm({ account, fields, onFields }: FieldsFormProps) {
  const { options } = account;
  const [asked, setAsked] = useState<readonly string[]>([]);
  const kinds = options?.budgetKinds ?? ['daily'];
  return (
    <div className="bar">
      {DAYS.map(([field, label, none]) => (
        <span key={field} className="labelled">
          <span className="faint">{label}</span>
          {fields[field] === null && !asked.includes(field) ? (
            <Button variant="link" onClick={() => setAsked([...asked, field])}>
              {none}
            </Button>
          ) : (
            <DayField
              label={label}
              value={fields[field] ?? ''}
              min={account.today}
              onChange={(day) => onFields({ [field]: day })}
              onNone={() => {
                setAsked(asked.filter((one) => one !== field));
                onFields({ [field]: null });
              }}
            />
          )}
        </span>
      ))}
      {kinds.length > 1 && (
        <Choice
          label="budget"
          isLabelled
          value={fields.budgetKind}
          onChange={(next) => onFields({ budgetKind: next as CampaignFields['budgetKind'] })}
        >
          {kinds.map((kind): Option => [kind, kind === 'daily' ? 'a day' : 'for its life'])}
        </Choice>
      )}
      <Choice
        label="spends"
        isLabelled
        value={fields.pacing}
        onChange={(next) => onFields({ pacing: next as CampaignFields['pacing'] })}
      >
        {PACINGS.map((pacing): Option => [pacing, PACE_WORDS[pacing]])}
      </Choice>
      {(options?.bidFlex ?? true) && (
        <Choice
          label="bid flex"
          isLabelled
          value={fields.flex}
          onChange={(next) => onFields({ flex: next as CampaignFields['flex'] })}
        >
          {[...FLEXES]}
        </Choice>
      )}
      {options?.similarCategories && (
        <Choice
          label="similar categories"
          isLabelled
          value={fields.similar}
          onChange={(next) => onFields({ similar: next as CampaignFields['similar'] })}
        >
          {[...SIMILAR]}
        </Choice>
      )}
      {PLACEMENTS.filter((placement) => options?.modifiers.includes(placement) ?? true).map((placement) => (
        <ShareField
          key={placement}
          label={options?.placementNames?.[placement] ?? PLACEMENT_LABELS[placement]}
          share={fields[placement]}
          most={MAX_MODIFIER}
          onShare={(share) => onFields({ [placement]: share })}
        />
      ))}
      <Check
        isOn={fields.state === 'paused'}
        onChange={(isPaused) => onFields({ state: isPaused ? 'paused' : 'enabled' })}
      >
        start paused
      </Check>
    </div>
  );
}
