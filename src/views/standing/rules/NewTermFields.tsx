import type { AccountInfo } from '../../../contract/api';
import { KEYWORD_MATCHES } from '../../../core/matching';
import type { KeywordMatch } from '../../../core/matching';
import type { NewTermsRule } from '../../../core/rules';
import { Check, Choice, NumberField } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface NewTermFieldsProps {
  account: AccountInfo;
  newTerms: NewTermsRule;
  onNewTerms: (newTerms: NewTermsRule) => void;
}

/** Where new terms come from, how they match, and how many join. */
export function NewTermFields({ account, newTerms, onNewTerms }: NewTermFieldsProps) {
  const { market, campaigns, match, most } = newTerms;
  const set = (change: Partial<NewTermsRule>) => onNewTerms({ ...newTerms, ...change });
  const matches = account.options?.matches ?? KEYWORD_MATCHES;
  return (
    <>
      <span className="faint">Terms</span>
      <div>
        <div className="bar">
          <Check isOn={market} onChange={(isOn) => (isOn || campaigns) && set({ market: isOn })}>
            the market suggests
          </Check>
          <Check isOn={campaigns} onChange={(isOn) => (isOn || market) && set({ campaigns: isOn })}>
            sold in other campaigns
          </Check>
          <Choice label="Match" value={match} onChange={(next) => set({ match: next as KeywordMatch })}>
            {matches.map((one): Option => [one, `as ${one}`])}
          </Choice>
          <NumberField
            label="New terms of a product in a night"
            isLabelled={false}
            value={most}
            min={1}
            max={100}
            step={1}
            after="a product at most in a night"
            onChange={(count) => set({ most: count })}
          />
        </div>
        <p className="note">
          They join the product’s ad group with the most {match} keywords, as tests within the testing
          allowance.
        </p>
      </div>
    </>
  );
}
