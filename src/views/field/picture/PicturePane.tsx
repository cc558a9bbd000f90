import Button from '@mui/material/Button';
import { useTell } from '../../shared/useTell';
import { useRef } from 'react';
import { numberField } from '../../../core/conditions';
import type { NumberKey } from '../../../core/conditions';
import { MEASURES } from '../../../core/measures';
import { savePicture } from '../../../charts';
import { saveBlob } from '../../shared/api';
import type { FieldState, PictureKind } from '../useFieldState';
import { fieldsOffered } from '../fieldsOffered';
import { PICTURES, Picture } from './Picture';
import type { PictureProps } from './pictureProps';

interface PicturePaneProps extends PictureProps {
  isFolded: boolean;
  onFold: () => void;
}

const HEIGHT = 190;

/** The picture of the rows: which one, of what, folded or not, and as a file. */
export function PicturePane({ isFolded, onFold, ...props }: PicturePaneProps) {
  const { state } = props;
  const frame = useRef<HTMLDivElement>(null);
  const tell = useTell();
  const title = PICTURES.find(({ kind }) => kind === state.picture)!.label;
  const save = (format: 'svg' | 'png') => {
    if (frame.current)
      savePicture(frame.current, `${props.account.name} ${title}`, format, saveBlob).catch((error: Error) =>
        tell(error.message, { kind: 'fault' }),
      );
  };
  return (
    <section aria-label="Picture" style={{ borderBottom: '1px solid var(--hairline)' }}>
      <div className="bar" style={{ padding: '0 16px', minHeight: 26 }}>
        <select
          aria-label="Picture"
          value={state.picture}
          onChange={(event) => state.setPicture(event.target.value as PictureKind)}
        >
          {PICTURES.map(({ kind, label }) => (
            <option key={kind} value={kind}>
              {label}
            </option>
          ))}
        </select>
        <MeasurePickers state={state} />
        <span style={{ flex: 1 }} />
        {!isFolded && (
          <>
            <Button onClick={() => save('svg')} sx={{ padding: 0 }}>
              SVG
            </Button>
            <Button onClick={() => save('png')} sx={{ padding: 0 }}>
              PNG
            </Button>
          </>
        )}
        <Button onClick={onFold} title="f" sx={{ padding: '0 4px' }}>
          {isFolded ? 'Show' : 'Fold'}
        </Button>
      </div>
      {!isFolded && (
        <div ref={frame} style={{ height: HEIGHT, position: 'relative' }}>
          <Picture {...props} height={HEIGHT} />
        </div>
      )}
    </section>
  );
}

/** Which measures a picture shows: one, or two or three on one time line. */
function MeasurePickers({ state }: { state: FieldState }) {
  if (state.picture === 'cut') return null;
  const isTrend = state.picture === 'trend';
  const keys: NumberKey[] = isTrend ? MEASURES.map(({ key }) => key) : [...fieldsOffered(state.lens).numbers];
  const shown = isTrend ? state.measures : state.measures.slice(0, 1);
  const set = (at: number, key: string) => {
    const next = [...state.measures];
    if (key === '') next.splice(at, 1);
    else next[at] = key as NumberKey;
    state.setMeasures(next);
  };
  const places = isTrend ? Math.min(3, shown.length + 1) : 1;
  return (
    <>
      {Array.from({ length: places }, (_, at) => (
        <select
          key={at}
          aria-label={`Measure ${at + 1}`}
          value={shown[at] ?? ''}
          onChange={(event) => set(at, event.target.value)}
        >
          {isTrend && at > 0 && <option value="">{shown[at] ? 'none' : 'and …'}</option>}
          {keys.map((key) => (
            <option key={key} value={key}>
              {numberField(key).label}
            </option>
          ))}
        </select>
      ))}
    </>
  );
}
