import type { KeyLine } from '../../shared/frame/KeysHelp';
import { pageLink } from '../../shared/frame/pages';
import { useOffer } from '../../shared/frame/place';
import type { PlaceProps } from '../../shared/frame/place';
import { MOVE_KEYS, SELECT_ALL_KEYS } from '../../shared/frame/rowKeyLines';
import { formatCount, MICROS_PER_UNIT } from '../../../core/units';
import { Columns, Empty, Loading, PartList, PlaceLink, Trouble } from '../../shared/kit';
import { clickPriceWords } from '../../shared/offered';
import { rowMoves } from '../../shared/rowMoves';
import { useKeys } from '../../shared/useKeys';
import { BuildTabs } from '../BuildTabs';
import type { BuildPart } from '../BuildTabs';
import { FindingRows } from './FindingRows';
import { ALL, useFindings } from './useFindings';
import type { FindingsState } from './useFindings';

const KEYS: readonly KeyLine[] = [
  MOVE_KEYS,
  SELECT_ALL_KEYS,
  ['Space', 'put what mends them to the tray'],
  ['x l', 'leave as is; put off'],
];

/** The structure of an account looked through: what it lacks or has too much of, each with its money and what mends it. */
export function Structure({ account, error, onPart }: PlaceProps & { onPart: (part: BuildPart) => void }) {
  const work = useFindings(account);
  const { data, findings, kind, shown, rows } = work;
  useOffer(KEYS);
  const chosen = () => rows.chosen().flatMap((row) => shown[row] ?? []);
  useKeys({
    ...rowMoves(rows),
    space: () => void work.mend(chosen()),
    x: () => void work.put(chosen(), 'left'),
    l: () => void work.put(chosen(), 'later'),
  });
  const currency = account?.currency ?? '';
  const onePrice = clickPriceWords(account);
  const trouble = error ?? work.error;
  return (
    <Columns
      name="build"
      left={
        <PartList
          title="Structure"
          label="Sorts of findings"
          entries={[
            { key: ALL, label: 'Everything', does: countWords(findings, currency) },
            ...(data?.sorts ?? []).map((sort) => {
              const own = findings.filter((one) => one.kind === sort.kind);
              return {
                key: sort.kind,
                label: sort.label,
                does: own.length === 0 ? 'none' : countWords(own, currency, sort.money),
              };
            }),
          ]}
          current={kind}
          onChoose={(next) => work.setKind(String(next))}
        />
      }
    >
      <main className="page findings" tabIndex={0} aria-label="Structure">
        <BuildTabs account={account} part="structure" onPart={onPart} />
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !data ? (
          <Loading>Looking through the structure …</Loading>
        ) : (
          <>
            <p className="sentence">{sentenceOf(work, currency)}</p>
            <p className="note">
              {data.sorts.find((sort) => sort.kind === kind)?.usual ??
                'Each with what is usual, and what mends it. Space puts the mend to the tray, x leaves it for 30 days, l puts it off.'}
              {data.aside > 0 && ` Put aside: ${formatCount(data.aside)}.`}
              {onePrice && <> {onePrice}</>}
            </p>
            {findings.length === 0 ? (
              <Empty
                why="Findings need campaigns, targets and their figures."
                next={
                  <PlaceLink href={pageLink('setup', account.id)}>
                    Sync the account, or import its lists
                  </PlaceLink>
                }
              >
                Nothing is found.
              </Empty>
            ) : (
              <FindingRows work={work} account={account.id} currency={currency} />
            )}
          </>
        )}
      </main>
    </Columns>
  );
}

const sum = (list: FindingsState['findings']) => list.reduce((all, { money }) => all + money, 0);
const whole = (micros: number) => formatCount(Math.round(micros / MICROS_PER_UNIT));

function countWords(list: FindingsState['findings'], currency: string, money?: string): string {
  const all = sum(list);
  return `${formatCount(list.length)}${all > 0 && money ? ` · ${currency} ${whole(all)} of ${money} a month` : ''}`;
}

function sentenceOf({ findings, kind, shown, data }: FindingsState, currency: string): string {
  if (findings.length === 0) return 'Nothing stands out in this structure.';
  if (kind === ALL)
    return `${formatCount(findings.length)} findings of ${formatCount(new Set(findings.map((one) => one.kind)).size)} sorts.`;
  const sort = data?.sorts.find((one) => one.kind === kind);
  const all = sum(shown);
  return all > 0
    ? `${formatCount(shown.length)} found: they touch ${whole(all)} ${currency} of ${sort?.money ?? 'spend'} a month.`
    : `${formatCount(shown.length)} found.`;
}
