import Button from '@mui/material/Button';
import type { ReactNode, Ref } from 'react';
import { Grip } from '../../../table';
import { Later } from '../kit';
import { useRemembered } from '../useRemembered';

const USUAL = 196;
const LEAST = 90;
const MOST = 900;

interface PictureBoxProps {
  /** What stands in the line above the picture: what it shows, and what can be done with it. */
  head: ReactNode;
  isFolded: boolean;
  onFold: () => void;
  children: (height: number) => ReactNode;
  /** What stands below the picture. */
  below?: ReactNode;
  frame?: Ref<HTMLDivElement>;
}

/** The picture above the rows: it can be folded away, and its lower edge is dragged and kept. */
export function PictureBox({ head, isFolded, onFold, children, below, frame }: PictureBoxProps) {
  const [height, setHeight] = useRemembered('picture-height', USUAL);
  return (
    <section aria-label="Picture" className="picture">
      <div className="pictureHead">
        {head}
        <Button
          variant="quiet"
          onClick={onFold}
          title={isFolded ? 'Show the picture (f)' : 'Fold the picture (f)'}
        >
          {isFolded ? 'Show the picture' : 'Fold'}
        </Button>
      </div>
      {!isFolded && (
        <div ref={frame} className="pictureFrame" style={{ height }}>
          <Later>{children(height)}</Later>
        </div>
      )}
      {below}
      {!isFolded && (
        <Grip
          label="Height of the picture"
          size={height}
          least={LEAST}
          most={MOST}
          isAcross
          onSize={(next) => setHeight(Math.min(next, Math.round(innerHeight * 0.6)))}
        />
      )}
    </section>
  );
}
