import Button from '@mui/material/Button';
import type { FindingInfo } from '../../../contract/findings';
import { DASH, formatCount, formatMoney } from '../../../core/units';
import { VirtualTable } from '../../../table';
import type { Column } from '../../../table';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import type { FindingsState } from './useFindings';

const TWO_LINES = 46;

/** Findings, a row each: what it is found on, its money, what was found, and what mends it. */
export function FindingRows({
  work,
  account,
  currency,
}: {
  work: FindingsState;
  account: number;
  currency: string;
}) {
  const { shown, rows, data } = work;
  const labels = new Map((data?.sorts ?? []).map(({ kind, label }) => [kind, label]));
  const columns: Column<FindingInfo>[] = [
    {
      key: 'name',
      label: 'Where',
      width: 'minmax(180px, 1fr)',
      cell: ({ name, place }) => (
        <span title={place ? `${name} — ${place}` : name}>
          <strong>{name}</strong> <span className="faint small">{place}</span>
        </span>
      ),
    },
    {
      key: 'kind',
      label: 'What',
      width: 'minmax(160px, 0.7fr)',
      cell: ({ kind }) => <span title={labels.get(kind)}>{labels.get(kind)}</span>,
    },
    {
      key: 'money',
      label: 'A month',
      unit: currency,
      definition: 'Spend of a month that it touches; of missing parts, sales of the product’s ads',
      width: '86px',
      isFigure: true,
      cell: ({ money }) => (money > 0 ? formatMoney(money) : DASH),
    },
    {
      key: 'mend',
      label: '',
      width: '80px',
      cell: (one) => (
        <>
          {one.mend.length === 0 && one.entity === 'product' && (
            <PlaceLink href={`${pageLink('build', account)}&part=plan&for=${one.id}`}>Plan …</PlaceLink>
          )}
          {one.mend.length > 0 && (
            <Button
              sx={{ padding: '0 6px' }}
              aria-label={`Mend: ${one.name}`}
              title="Put what mends it to the tray (space)"
              onClick={() => void work.mend([one])}
            >
              {one.mend.length === 1 ? 'Mend' : `Mend ${formatCount(one.mend.length)}`}
            </Button>
          )}
        </>
      ),
    },
    {
      // Under each other, whether a row can be mended from here or not.
      key: 'decide',
      label: '',
      width: '108px',
      cell: (one) => (
        <>
          <Button
            sx={{ padding: '0 6px' }}
            aria-label={`Leave: ${one.name}`}
            title="Leave it as it is (x)"
            onClick={() => void work.put([one], 'left')}
          >
            Leave
          </Button>
          <Button
            sx={{ padding: '0 6px' }}
            aria-label={`Later: ${one.name}`}
            title="Put it off (l)"
            onClick={() => void work.put([one], 'later')}
          >
            Later
          </Button>
        </>
      ),
    },
  ];
  return (
    <VirtualTable
      label="Findings"
      columns={columns}
      count={shown.length}
      rowAt={(index) => shown[index]}
      keyAt={(index) => index}
      rowHeight={TWO_LINES}
      detail={({ words, otherwise }) => {
        const told = [words, otherwise].filter(Boolean).join(' ');
        return <span title={told}>{told}</span>;
      }}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(index)}
      onSelect={rows.select}
      sorts={[]}
      onSort={() => {}}
      empty={<Empty why="Other sorts may hold something.">None of this sort.</Empty>}
    />
  );
}
