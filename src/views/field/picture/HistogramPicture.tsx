import { formatCount } from '../../../core/units';
import { numberField, shownScale } from '../../../core/conditions';
import { Histogram } from '../../../charts';
import { formatField } from '../../shared/formatValue';
import type { PictureProps } from './pictureProps';
import { usePicture } from './usePicture';

/** How a measure is spread over the rows; a bar becomes two conditions. */
export function HistogramPicture(props: PictureProps) {
  const { state } = props;
  const [key] = state.measures;
  const answer = usePicture(props, { kind: 'histogram', measure: key });
  if (!answer) return null;
  const { bars, median, without, beyond } = answer.spread;
  const { label } = numberField(key);
  const notes = [
    without > 0 && `${formatCount(without)} rows have no ${label}`,
    beyond > 0 && `${beyond} lie beyond the outer bars and are counted in them`,
  ].filter(Boolean);
  const rounded = (value: number) => {
    const scale = shownScale(key);
    return Number((value / scale).toPrecision(6)) * scale;
  };
  return (
    <Histogram
      bars={bars}
      median={median}
      show={(value) => formatField(key, value)}
      label={`${label}: how many rows have which value`}
      note={notes.join('; ')}
      onPick={(x0, x1) =>
        state.setStack([
          ...state.stack.filter((group) => group.length > 1 || group[0].field !== key),
          [{ field: key, op: 'atLeast', value: rounded(x0) }],
          [{ field: key, op: 'atMost', value: rounded(x1) }],
        ])
      }
    />
  );
}
