import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlainScope, Rule, RuleSwath } from '../../../core/rules';
import { NUMBER_FIELDS, OF_PRODUCTS, readAnyOf, writeAnyOf } from '../../../core/conditions';
import { api } from '../../shared/api';
import { Conditions } from '../../shared/conditions/Conditions';
import type { FieldsOffered } from '../../shared/conditions/words';
import { Check, Choice, Finder, MoneyField, ShareField } from '../../shared/kit';

interface BidFieldsProps {
  account: AccountInfo;
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}

const FIELDS: FieldsOffered = {
  numbers: NUMBER_FIELDS.map(({ key }) => key).filter((key) => !OF_PRODUCTS.has(key)),
  texts: ['name', 'place', 'product', 'line'],
  choices: ['standing', 'evidence', 'state', 'running', 'campaignState', 'chosen', 'kind'],
};

const ACCOUNT = 'account 0';

interface ScopeFieldProps {
  account: AccountInfo;
  scope: Rule['scope'];
  onScope: (scope: PlainScope) => void;
  /** The swath that it is, those that it may be as well, and what takes one; left out: swaths are not offered. */
  swath?: RuleSwath | null;
  swaths?: readonly RuleSwath[];
  onSwath?: (swath: RuleSwath) => void;
}

/** Of the rule's own copy, which may not be kept any more, and of those that are. */
const OWN = 'swath own';
const swathValue = (at: number) => `swath ${at}`;

/** What a rule works in: the account, a line, product, campaign or ad group, or a swath. */
export function ScopeField({
  account,
  scope,
  onScope,
  swath = null,
  swaths = [],
  onSwath = () => {},
}: ScopeFieldProps) {
  const { data } = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  const scopes = [
    { value: ACCOUNT, words: 'the whole account' },
    ...(data?.scopes ?? []).map((one) => ({
      value: `${one.scope} ${one.id}`,
      words: `${one.scope.replace('-', ' ')}: ${one.name}`,
    })),
    ...(swath ? [{ value: OWN, words: `swath: ${swath.name}` }] : []),
    ...swaths.map((one, at) => ({
      value: swathValue(at),
      words: `swath: ${one.name}${swath?.name === one.name ? ', as it stands now' : ''}`,
    })),
  ];
  return (
    <div className="finderBox">
      <Finder
        label="Works in"
        value={swath ? OWN : `${scope.kind} ${scope.id}`}
        placeholder="the whole account"
        onChange={(next) => {
          const [kind, id] = next.split(' ');
          if (kind !== 'swath') onScope({ kind: kind as PlainScope['kind'], id: Number(id) });
          else if (next !== OWN) onSwath(swaths[Number(id)]);
        }}
      >
        {scopes}
      </Finder>
    </div>
  );
}

/** How far bids move in a night, and between which bounds. */
export function BidFields({ account, rule: { work, step, bid, tests }, onRule }: BidFieldsProps) {
  const { minBid, maxBid, bidStep } = account.limits;
  const bound = (key: 'low' | 'high', label: string) => (
    <MoneyField
      label={label}
      micros={bid[key]}
      currency={account.currency}
      least={minBid}
      most={maxBid}
      step={bidStep}
      onMicros={(micros) => onRule({ bid: { ...bid, [key]: micros } })}
      onNone={() => onRule({ bid: { ...bid, [key]: null } })}
    />
  );
  return (
    <div className="bar">
      {work !== 'by hand' && work !== 'placements' && work !== 'new terms' && (
        <>
          <ShareField
            label="in one night down by"
            share={step.down}
            least={0.01}
            most={0.95}
            onShare={(down) => onRule({ step: { ...step, down } })}
          />
          <ShareField
            label="up by"
            share={step.up}
            least={0.01}
            most={5}
            onShare={(up) => onRule({ step: { ...step, up } })}
          />
        </>
      )}
      {bound('low', 'not below')}
      {bound('high', 'nor above')}
      {work === 'bids' && (
        <Check
          isOn={tests}
          onChange={(isOn) => onRule({ tests: isOn })}
          title="Raises bids of what is not proven yet to find out, within the testing allowance of the account"
        >
          tests too
        </Check>
      )}
    </div>
  );
}

/** Which targets a step by hand moves, and how. */
export function HandFields({
  rule: { hand },
  onRule,
}: {
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}) {
  const [isAdding, setAdding] = useState(false);
  return (
    <div>
      <Conditions
        fields={FIELDS}
        conditions={hand.conditions.flatMap((one) => {
          const read = readAnyOf(one);
          return read ? [read] : [];
        })}
        onChange={(stack) => onRule({ hand: { ...hand, conditions: stack.map(writeAnyOf) } })}
        isAdding={isAdding}
        onAdding={setAdding}
        brushed={null}
      />
      <div className="bar">
        <Choice
          label="What is done with them"
          value={hand.percent === null ? 'pause' : 'move'}
          onChange={(next) => onRule({ hand: { ...hand, percent: next === 'pause' ? null : -0.15 } })}
        >
          {[
            ['move', 'their bids move by'],
            ['pause', 'they are paused'],
          ]}
        </Choice>
        {hand.percent !== null && (
          <ShareField
            label="Their bids move by"
            isLabelled={false}
            share={hand.percent}
            least={-0.95}
            most={5}
            onShare={(percent) => onRule({ hand: { ...hand, percent } })}
          />
        )}
      </div>
    </div>
  );
}
