import { formatCount } from '../../../core/units';
import { numberField } from '../../../core/conditions';
import { Bars } from '../../../charts';
import { formatField } from '../../shared/formatValue';
import type { PictureProps } from './pictureProps';
import { usePicture } from './usePicture';

const MOST = 40;
/** What adds up over rows, so that a share of the total means something. */
const ADDITIVE = /^(d\.)?(impressions|clicks|spend|orders|units|sales)$|^(loss|breakEvenLoss)$/;

/** The largest rows of a measure, with their share of the total. */
export function BarsPicture(props: PictureProps) {
  const { loaded, state, rows } = props;
  const [key] = state.measures;
  const answer = usePicture(props, {
    kind: 'bars',
    measure: key,
    most: MOST,
    isAdditive: ADDITIVE.test(key),
  });
  if (!answer) return null;
  const { top, rest } = answer.ranking;
  const { table } = loaded;
  const items = top.map(({ row, value, share }) => ({
    row,
    value,
    share,
    name: table.place[row] === '' ? table.name[row] : `${table.name[row]} · ${table.place[row]}`,
    text: formatField(key, value),
  }));
  const others = ADDITIVE.test(key) ? `: ${formatField(key, rest.value)}` : '';
  return (
    <Bars
      items={items}
      rest={rest.count > 0 ? `${formatCount(rest.count)} others${others}` : ''}
      label={`${numberField(key).label} by row, largest first`}
      focusedRow={rows.focusedRow}
      onPick={rows.focusRow}
    />
  );
}
