import type { ReactNode } from 'react';
import { CutLine } from '../../charts';
import type { CutLineProps } from '../../charts';

const PICTURE_HEIGHT = 224;

interface CutPaneProps extends Omit<CutLineProps, 'height' | 'points'> {
  points: CutLineProps['points'] | null;
  isFolded: boolean;
  onFold: () => void;
  /** What stands below the picture. */
  children?: ReactNode;
}

/** The cut line of a step, which can be folded away. */
export function CutPane({ points, isFolded, onFold, children, ...picture }: CutPaneProps) {
  return (
    <div style={{ borderBottom: '1px solid var(--hairline)', minHeight: 20, position: 'relative' }}>
      <button type="button" onClick={onFold} title="f" style={FOLD}>
        {isFolded ? 'Show the cut line' : 'Fold'}
      </button>
      {!isFolded && (
        <div style={{ height: PICTURE_HEIGHT }}>
          {points && <CutLine points={points} height={PICTURE_HEIGHT} {...picture} />}
        </div>
      )}
      {children}
    </div>
  );
}

const FOLD = {
  all: 'unset',
  cursor: 'pointer',
  position: 'absolute',
  right: 16,
  top: 1,
  fontSize: 12,
  zIndex: 1,
  color: 'var(--faint)',
} as const;
