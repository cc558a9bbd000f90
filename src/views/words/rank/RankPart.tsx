import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Download from '@mui/icons-material/Download';
import { useState } from 'react';
import { RANK_SPANS } from '../../../contract/rank';
import { MEASURES } from '../../../core/measures';
import { RANK_FIELDS } from '../../../core/conditions';
import { RANK_SWATHS, rankEffectWords } from '../../../core/rank';
import { counted, formatCount } from '../../../core/units';
import { VirtualTable } from '../../../table';
import { saveTable } from '../../shared/api';
import { AddCondition, Conditions } from '../../shared/conditions/Conditions';
import { pageLink } from '../../shared/frame/pages';
import { Choice, Columns, Empty, Loading, PlaceLink, Trouble } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { useTell } from '../../shared/useTell';
import { Head } from '../Head';
import type { PlainPartProps } from '../wordsPartProps';
import { rankColumns, rankTable } from './rankColumns';
import { RankPanel } from './RankPanel';
import { RankTrend } from './RankTrend';
import { useRank } from './useRank';

const FIELDS = {
  numbers: [...RANK_FIELDS.map(({ key }) => key), ...MEASURES.map(({ key }) => key)],
  texts: ['term', 'product', 'line', 'place'],
  choices: ['coreTerm', 'lossAccepted'],
} as const;

/** Organic ranks beside ads: where each product stands for its terms, what ads do to it, and what it would cost to hold or gain. */
export function RankPart({ account }: PlainPartProps) {
  const state = useRank(account);
  const { answer, shown, conditions } = state;
  const tell = useTell();
  const [focus, setFocus] = useState(0);
  const [isAdding, setIsAdding] = useState(false);
  const at = Math.min(focus, Math.max(0, shown.length - 1));
  useKeys({
    arrowdown: () => setFocus(Math.min(shown.length - 1, at + 1)),
    arrowup: () => setFocus(Math.max(0, at - 1)),
    s: () => setIsAdding(true),
  });
  if (state.error) return <Trouble error={state.error} />;
  if (!answer) return <Loading>Reading ranks and the ads beside them …</Loading>;
  if (answer.days === null)
    return (
      <main className="page">
        <Empty
          why="Organic ranks come from the market’s sync, or from a file with day, item code, search term and rank."
          next={<PlaceLink href={pageLink('setup', account.id)}>Bring a file of ranks</PlaceLink>}
        >
          No organic ranks were brought yet.
        </Empty>
      </main>
    );
  const { rows, deepest } = answer;
  const row = shown.length > 0 ? rows[shown[at]] : undefined;
  const save = (format: 'csv' | 'xlsx') =>
    void saveTable(
      format,
      rankTable(
        Array.from(shown, (one) => rows[one]),
        deepest,
        account.currency,
        `${account.name} ranks`,
      ),
    ).catch((error: Error) => tell(error.message, { kind: 'fault' }));
  return (
    <Columns name="rank" panel="open">
      <main className="tableGrid rankGrid">
        <div className="tableHead">
          <Head>{rankEffectWords(answer.effect)}</Head>
          <div className="bar">
            <ToggleButtonGroup
              size="small"
              exclusive
              value={state.swath ?? ''}
              onChange={(_, next: string | null) => state.setSwath(next)}
              aria-label="Ready swaths"
            >
              {RANK_SWATHS.map(({ key, label, does }) => (
                <ToggleButton key={key} value={key} title={does}>
                  {label}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <AddCondition onClick={() => setIsAdding(true)} />
            <span className="room" />
            <span className="faint">
              {shown.length === rows.length
                ? counted(rows.length, 'term')
                : `${formatCount(shown.length)} of ${counted(rows.length, 'term')}`}
            </span>
            <Choice label="Compared" value={state.span} onChange={state.setSpan}>
              {RANK_SPANS.map((span): Option => [span, `against ${span} days before`])}
            </Choice>
            <Button startIcon={<Download />} onClick={() => save('csv')}>
              CSV
            </Button>
            <Button onClick={() => save('xlsx')}>XLSX</Button>
          </div>
          <Conditions
            fields={FIELDS}
            conditions={conditions}
            onChange={state.setConditions}
            isAdding={isAdding}
            onAdding={setIsAdding}
            brushed={null}
            isQuiet
          />
        </div>
        {row && <RankTrend account={account.id} row={row} />}
        <VirtualTable
          label="Organic ranks"
          columns={rankColumns(account.currency, account.targetAcos, deepest)}
          count={shown.length}
          rowAt={(index) => rows[shown[index]]}
          keyAt={(index) => shown[index]}
          rowHeight={28}
          focus={at}
          onFocus={setFocus}
          isSelected={() => false}
          onSelect={setFocus}
          sorts={[state.order]}
          onSort={state.setSort}
          empty="No term meets these conditions."
        />
      </main>
      <RankPanel key={row && `${row.productId} ${row.termId}`} account={account} answer={answer} row={row} />
    </Columns>
  );
}
