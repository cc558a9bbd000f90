import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { memo, useState } from 'react';
import type { ReactNode } from 'react';
import { CutLine } from '../../../charts';
import type { CutLineProps } from '../../../charts';
import { BrushedChip } from '../../shared/conditions/Conditions';
import { PictureBox } from '../../shared/picture/PictureBox';

interface CutPaneProps extends Omit<CutLineProps, 'height' | 'points'> {
  points: CutLineProps['points'] | null;
  isFolded: boolean;
  onFold: () => void;
  /** How many rows are in the brushed area; null: none is brushed. It stands in the picture’s own line, so that nothing moves below the brush. */
  brushed: number | null;
  /** What stands below the picture. */
  children?: ReactNode;
}

/** The cut line of a step, with the words that it is read by. It stays as it is while its points do. */
export const CutPane = memo(function CutPane({
  points,
  isFolded,
  onFold,
  brushed,
  children,
  ...picture
}: CutPaneProps) {
  const [helpAt, setHelpAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <PictureBox
        isFolded={isFolded}
        onFold={onFold}
        below={children}
        head={
          <>
            <span className="room cut">
              <span className="over">▲</span> over the line <span className="under">●</span> under it{' '}
              <span className="faint">○</span> too early to say
            </span>
            {brushed !== null && <BrushedChip count={brushed} onClear={() => picture.onArea(null)} />}
            <Button variant="quiet" onClick={(event) => setHelpAt(event.currentTarget)}>
              How to read it
            </Button>
          </>
        }
      >
        {(height) => points && <CutLine points={points} height={height} {...picture} />}
      </PictureBox>
      <Popover
        open={helpAt !== null}
        anchorEl={helpAt}
        onClose={() => setHelpAt(null)}
        transitionDuration={0}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Legend />
      </Popover>
    </>
  );
});

/** How to read the picture, in a few lines. */
function Legend() {
  return (
    <div className="legend">
      <strong>The cut line</strong>
      <p>Across: what a click brings. Up: what it costs. On the line both meet your target.</p>
      <p>
        <span className="over">▲</span> above the line: the click costs more than the target allows
      </p>
      <p>
        <span className="under">●</span> below it: there is room to pay more
      </p>
      <p>○ hollow: little evidence yet; the whisker shows where it may lie</p>
      <p>The larger the dot, the more it spends.</p>
    </div>
  );
}
