import Button from '@mui/material/Button';
import { checkTitles } from '../../../core/changes';
import type { AdRules, MarketLimits } from '../../../core/changes';
import { TextBox } from '../../shared/kit';
import { TakeOut } from '../TakeOut';

interface TitlesProps {
  rules: AdRules;
  titles: readonly string[];
  limits: MarketLimits;
  onTitles: (titles: string[]) => void;
  onAdd: () => void;
  onDone: () => void;
}

/** The titles of an ad, each with its length against the market's. */
export function Titles({ rules, titles, limits, onTitles, onAdd, onDone }: TitlesProps) {
  const { most, longest } = rules.titles;
  return (
    <section aria-label="Titles">
      <h2 className="part serif">Titles</h2>
      <p className="note">
        {titles.length} of {most}, up to {longest} characters.
      </p>
      {titles.map((title, at) => {
        const isWrong = checkTitles([title], rules, limits).length > 0;
        return (
          <div className="bar" key={at}>
            <TextBox
              aria-label={`Title ${at + 1}`}
              isWide
              autoFocus={title === ''}
              isWrong={isWrong}
              value={title}
              onChange={({ target }) =>
                onTitles(titles.map((one, index) => (index === at ? target.value : one)))
              }
              onKeyDown={(event) => {
                if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                  event.stopPropagation();
                  onDone();
                }
              }}
            />
            <span className={isWrong ? 'figure over' : 'figure faint'}>
              {[...title].length}/{longest}
            </span>
            <TakeOut
              what={title || `title ${at + 1}`}
              onClick={() => onTitles(titles.filter((_, index) => index !== at))}
            />
          </div>
        );
      })}
      {titles.length < most && (
        <Button variant="link" title="n" onClick={onAdd}>
          Another title
        </Button>
      )}
    </section>
  );
}
