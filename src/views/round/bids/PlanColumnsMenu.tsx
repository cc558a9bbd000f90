import ViewColumn from '@mui/icons-material/ViewColumnOutlined';
import IconButton from '@mui/material/IconButton';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import { PLAN_FIELDS } from '../../../core/conditions';
import type { PlanKey } from '../../../core/conditions';
import { Check } from '../../shared/kit';

interface PlanColumnsMenuProps {
  shown: readonly PlanKey[];
  onShown: (shown: PlanKey[]) => void;
}

/** Which figures of the plan have a column of their own. */
export function PlanColumnsMenu({ shown, onShown }: PlanColumnsMenuProps) {
  const [isOpen, setOpen] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  const words = 'More columns: step, wanted bid, chance, profit';
  return (
    <>
      <IconButton ref={anchor} aria-label={words} title={words} onClick={() => setOpen(true)}>
        <ViewColumn fontSize="inherit" />
      </IconButton>
      <Popover open={isOpen} anchorEl={anchor.current} onClose={() => setOpen(false)} transitionDuration={0}>
        <div className="popForm" role="group" aria-label="More columns">
          {PLAN_FIELDS.map(({ key, label, definition }) => (
            <Check
              key={key}
              title={definition}
              isOn={shown.includes(key)}
              onChange={(isOn) => onShown(isOn ? [...shown, key] : shown.filter((one) => one !== key))}
            >
              {label}
            </Check>
          ))}
        </div>
      </Popover>
    </>
  );
}
