import { useQuery } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { SourceTerm, TermSource } from '../../../../contract/build';
import type { KeywordMatch } from '../../../../core/matching';
import { matchForm } from '../../../../core/matching';
import { counted, formatCount, formatMoney } from '../../../../core/units';
import { Ask, Check, Choice, Loading, TextBox, Trouble } from '../../../shared/kit';
import type { Option } from '../../../shared/kit';
import { buildApi } from '../buildApi';
import type { OpenPlan } from '../usePlan';

const LABELS: Record<TermSource, string> = {
  sold: 'Terms that sold',
  core: 'The core list',
  parts: 'Word parts that sold',
  market: 'The market’s suggestions',
};

interface SourceMenuProps {
  open: OpenPlan;
  matches: readonly KeywordMatch[];
}

/** Terms and items that the account or the market knows for the product. */
export function SourceMenu({ open, matches }: SourceMenuProps) {
  const [from, setFrom] = useState<TermSource | null>(null);
  return (
    <>
      <Choice
        label="Take from"
        value=""
        placeholder="Take from …"
        onChange={(next) => setFrom(next as TermSource)}
      >
        {(Object.keys(LABELS) as TermSource[])
          .filter((source) => source !== 'market' || open.account.connected)
          .map((source): Option => [source, LABELS[source]])}
      </Choice>
      {from && <Source open={open} matches={matches} from={from} onDone={() => setFrom(null)} />}
    </>
  );
}

const MOST_SHOWN = 300;

function Source({ open, matches, from, onDone }: SourceMenuProps & { from: TermSource; onDone: () => void }) {
  const { account, plan, edit } = open;
  const { data, error } = useQuery({
    queryKey: ['build', account.id, 'terms', plan.productId, from, account.revision],
    queryFn: () => buildApi.terms(account.id, plan.productId, from),
    retry: false,
  });
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const [part, setPart] = useState('');
  const known = new Set([
    ...plan.terms.map(({ text }) => matchForm(text)),
    ...plan.items.map(({ code }) => matchForm(code)),
  ]);
  const fresh = (data?.terms ?? []).filter(({ text }) => !known.has(matchForm(text)));
  const shown = fresh.filter(({ text }) => text.includes(part.trim().toLowerCase())).slice(0, MOST_SHOWN);
  const taken = chosen ?? new Set(fresh.slice(0, 50).map(({ text }) => text));
  const take = () => {
    const list = fresh.filter(({ text }) => taken.has(text));
    edit(
      {
        terms: [
          ...plan.terms,
          ...list.flatMap(({ text, isItem }) => (isItem ? [] : [{ text, matches: [...matches], bids: {} }])),
        ],
        items: [
          ...plan.items,
          ...list.flatMap(({ text, isItem }) => (isItem ? [{ code: text, isOwn: false, bid: null }] : [])),
        ],
      },
      `${formatCount(list.length)} lines added`,
    );
    onDone();
  };
  const toggle = (text: string, isOn: boolean) => {
    const next = new Set(taken);
    if (isOn) next.add(text);
    else next.delete(text);
    setChosen(next);
  };
  return (
    <Ask
      title={LABELS[from]}
      does={`Add ${formatCount(taken.size)}`}
      isOff={taken.size === 0 || !data}
      maxWidth="md"
      onDone={(isWanted) => (isWanted ? take() : onDone())}
    >
      {error ? (
        <Trouble error={error} />
      ) : !data ? (
        <Loading>Asking …</Loading>
      ) : fresh.length === 0 ? (
        <p>Nothing that does not stand in the plan already.</p>
      ) : (
        <>
          {data.of === 'line' && (
            <p className="note warning">The product has no terms of its own yet: these are its line’s.</p>
          )}
          <div className="bar">
            <TextBox
              aria-label="Find"
              letters={24}
              value={part}
              placeholder="A part of a term …"
              onChange={({ target }) => setPart(target.value)}
            />
            <span className="room" />
            <Button onClick={() => setChosen(new Set([...taken, ...shown.map(({ text }) => text)]))}>
              All shown
            </Button>
            <Button onClick={() => setChosen(new Set())}>None</Button>
          </div>
          <div className="chooseList" role="group" aria-label={LABELS[from]}>
            {shown.map((one) => (
              <Check key={one.text} isOn={taken.has(one.text)} onChange={(isOn) => toggle(one.text, isOn)}>
                {one.text} <span className="faint small">{wordsOf(one, account.currency)}</span>
              </Check>
            ))}
          </div>
        </>
      )}
    </Ask>
  );
}

function wordsOf({ clicks, orders, sales, weeklySearches, isItem }: SourceTerm, currency: string): string {
  return [
    ...(isItem ? ['item'] : []),
    ...(orders === null || clicks === null
      ? []
      : [`${counted(orders, 'order')} of ${counted(clicks, 'click')}`]),
    ...(sales === null ? [] : [`${formatMoney(sales)} ${currency}`]),
    ...(weeklySearches === null ? [] : [`${formatCount(weeklySearches)} searches a week`]),
  ].join(' · ');
}
