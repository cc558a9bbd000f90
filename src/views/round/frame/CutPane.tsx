import Popover from '@mui/material/Popover';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { CutLine } from '../../../charts';
import type { CutLineProps } from '../../../charts';

const PICTURE_HEIGHT = 224;

interface CutPaneProps extends Omit<CutLineProps, 'height' | 'points'> {
  points: CutLineProps['points'] | null;
  isFolded: boolean;
  onFold: () => void;
  /** What stands below the picture. */
  children?: ReactNode;
}

/** The cut line of a step, which can be folded away and tells how it is read. */
export function CutPane({ points, isFolded, onFold, children, ...picture }: CutPaneProps) {
  const [helpAt, setHelpAt] = useState<HTMLElement | null>(null);
  return (
    <div style={{ borderBottom: '1px solid var(--hairline)', minHeight: 20, position: 'relative' }}>
      <span style={CORNER}>
        {!isFolded && (
          <button type="button" className="quiet" onClick={(event) => setHelpAt(event.currentTarget)}>
            How to read it
          </button>
        )}
        <button type="button" className="quiet" onClick={onFold} title="f">
          {isFolded ? 'Show the cut line' : 'Fold'}
        </button>
      </span>
      {!isFolded && (
        <div style={{ height: PICTURE_HEIGHT }}>
          {points && <CutLine points={points} height={PICTURE_HEIGHT} {...picture} />}
        </div>
      )}
      {children}
      <Popover
        open={helpAt !== null}
        anchorEl={helpAt}
        onClose={() => setHelpAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Legend />
      </Popover>
    </div>
  );
}

/** How to read the picture, in a few lines. */
function Legend() {
  return (
    <div style={{ padding: '12px 16px', maxWidth: 360, fontSize: 13, lineHeight: 1.6 }}>
      <strong>The cut line</strong>
      <br />
      Across: what a click brings. Up: what it costs. On the line both meet your target.
      <br />
      <span className="over">▲</span> above: costs more than the target allows
      <br />
      <span className="under">●</span> below: room to pay more
      <br />○ hollow: little evidence yet; the whisker shows where it may lie
      <br />
      Area: spend
    </div>
  );
}

const CORNER = { position: 'absolute', right: 16, top: 1, zIndex: 1, display: 'flex', gap: 14 } as const;
