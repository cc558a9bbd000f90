import Button from '@mui/material/Button';
import { createContext, useContext } from 'react';
import type { CSSProperties, ReactNode } from 'react';
import { Later } from './Later';
import { Grip } from '../../../table';
import { useRemembered } from '../useRemembered';

const LEAST = 160;
const MOST = 760;
const FOLDED = 28;
const USUAL = { left: 214, right: 340 };

type Widths = Partial<typeof USUAL>;

const Sizes = createContext<{ widths: Widths; set: (widths: Widths) => void }>({ widths: {}, set: () => {} });

interface ColumnsProps {
  /** Where the widths are remembered. */
  name: string;
  left?: ReactNode;
  /** What is worked on, and behind it the side panel, where there is one. */
  children: ReactNode;
  panel?: 'open' | 'folded' | null;
  /** Pixels, until dragged. */
  leftWidth?: number;
}

/** The columns of a place: a list on the left, what is worked on, a panel on the right. The edges are dragged and kept. */
export function Columns({ name, left, children, panel = null, leftWidth = USUAL.left }: ColumnsProps) {
  const [widths, set] = useRemembered<Widths>(`columns-${name}`, {});
  const leftNow = widths.left ?? leftWidth;
  const rightNow = panel === 'folded' ? FOLDED : (widths.right ?? USUAL.right);
  // On a narrow screen the sides give way, unless they were drawn wider by hand.
  const columns = [
    left && `min(${leftNow}px, ${widths.left ? 40 : 18}vw)`,
    'minmax(0, 1fr)',
    panel && `min(${rightNow}px, ${widths.right ? 50 : 27}vw)`,
  ];
  return (
    <Sizes value={{ widths, set }}>
      <div className="columns" style={{ '--columns': columns.filter(Boolean).join(' ') } as CSSProperties}>
        {left && (
          <section className="side" aria-label="List">
            {left}
            <Grip
              label="Width of the list"
              size={leftNow}
              least={LEAST}
              most={MOST}
              onSize={(next) => set({ ...widths, left: next })}
            />
          </section>
        )}
        {children}
      </div>
    </Sizes>
  );
}

interface SidePanelProps {
  label: string;
  children: ReactNode;
}

/** The panel on the right of what is worked on: everything about the focused thing. */
export function SidePanel({ label, children }: SidePanelProps) {
  const { widths, set } = useContext(Sizes);
  return (
    <aside className="side" aria-label={label}>
      <Grip
        label="Width of the panel"
        size={widths.right ?? USUAL.right}
        least={LEAST}
        most={MOST}
        isReversed
        onSize={(next) => set({ ...widths, right: next })}
      />
      <div className="panel">
        <Later>{children}</Later>
      </div>
    </aside>
  );
}

/** A side panel that is folded away: its name brings it back. */
export function FoldedPanel({ label, keys, onOpen }: { label: string; keys: string; onOpen: () => void }) {
  return (
    <Button
      className="folded"
      variant="quiet"
      onClick={onOpen}
      title={`Show it (${keys})`}
      aria-label={`Show the ${label.toLowerCase()}`}
    >
      {label}
    </Button>
  );
}
