import Button from '@mui/material/Button';
import { useTell } from '../../shared/useTell';
import { useRef } from 'react';
import { numberField } from '../../../core/conditions';
import type { NumberKey } from '../../../core/conditions';
import { MEASURES } from '../../../core/measures';
import { savePicture } from '../../../charts';
import { saveBlob } from '../../shared/api';
import { Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { PictureBox } from '../../shared/picture/PictureBox';
import type { PictureKind } from '../fieldView';
import type { FieldState } from '../useFieldState';
import { fieldsOffered } from '../fieldsOffered';
import { PICTURES, Picture } from './Picture';
import type { PictureProps } from './pictureProps';

interface PicturePaneProps extends PictureProps {
  isFolded: boolean;
  onFold: () => void;
}

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
    <PictureBox
      isFolded={isFolded}
      onFold={onFold}
      frame={frame}
      head={
        <>
          <Choice
            label="Picture"
            value={state.picture}
            onChange={(kind) => state.setPicture(kind as PictureKind)}
          >
            {PICTURES.map(({ kind, label }): Option => [kind, label])}
          </Choice>
          <MeasurePickers state={state} />
          <span className="room" />
          {!isFolded && (
            <>
              <Button variant="quiet" onClick={() => save('svg')}>
                SVG
              </Button>
              <Button variant="quiet" onClick={() => save('png')}>
                PNG
              </Button>
            </>
          )}
        </>
      }
    >
      {(height) => <Picture {...props} height={height} />}
    </PictureBox>
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
        <Choice key={at} label={`Measure ${at + 1}`} value={shown[at] ?? ''} onChange={(key) => set(at, key)}>
          {[
            ...(isTrend && at > 0 ? [['', shown[at] ? 'none' : 'and …'] as const] : []),
            ...keys.map((key): Option => [key, numberField(key).label]),
          ]}
        </Choice>
      ))}
    </>
  );
}
