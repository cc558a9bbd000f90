import { NAME_FIELDS } from '../../../../core/build';
import { NumberField, TextBox } from '../../../shared/kit';
import { NAMES_EDITED } from '../usePlan';
import type { OpenPlan } from '../usePlan';

/** How the campaigns of a plan are named: the pattern is the account's, its fields are the plan's. */
export function Names({ open: { plan, edit } }: { open: OpenPlan }) {
  const field = (name: 'code' | 'purpose' | 'source', letters: number) => (
    <span className="labelled">
      <span className="faint">{name}</span>
      <TextBox
        aria-label={name}
        letters={letters}
        value={plan[name]}
        onChange={({ target }) => edit({ [name]: target.value }, NAMES_EDITED)}
      />
    </span>
  );
  return (
    <>
      <h2 className="part serif">Names</h2>
      <div className="bar">
        <span className="labelled">
          <span className="faint">pattern</span>
          <TextBox
            aria-label="Pattern of names"
            letters={30}
            value={plan.pattern}
            title={`It can hold ${NAME_FIELDS.map((name) => `{${name}}`).join(' ')}; the account keeps it.`}
            onChange={({ target }) =>
              target.value.trim() !== '' && edit({ pattern: target.value }, NAMES_EDITED)
            }
          />
        </span>
        {field('code', 12)}
        {field('purpose', 10)}
        {field('source', 10)}
        <NumberField
          label="exact keywords a campaign"
          value={plan.mostKeywords}
          min={1}
          max={1000}
          step={1}
          onChange={(mostKeywords) => edit({ mostKeywords })}
          onNone={() => edit({ mostKeywords: null })}
        />
      </div>
    </>
  );
}
