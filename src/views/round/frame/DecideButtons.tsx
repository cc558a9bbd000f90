import Check from '@mui/icons-material/Check';
import Close from '@mui/icons-material/Close';
import Schedule from '@mui/icons-material/Schedule';
import ButtonBase from '@mui/material/ButtonBase';

interface DecideButtonsProps {
  /** What is decided on, for those who hear the page. */
  name: string;
  onAccept: () => void;
  onLeave: () => void;
  onLater: () => void;
}

/** Accept, leave or put off one row. */
export function DecideButtons({ name, onAccept, onLeave, onLater }: DecideButtonsProps) {
  const actions = [
    { label: 'Accept', key: 'space', icon: <Check fontSize="inherit" />, act: onAccept },
    { label: 'Leave', key: 'x', icon: <Close fontSize="inherit" />, act: onLeave },
    { label: 'Later', key: 'l', icon: <Schedule fontSize="inherit" />, act: onLater },
  ];
  // Three a row of a long table: the barest of the library's buttons.
  return actions.map(({ label, key, icon, act }) => (
    <ButtonBase
      key={label}
      className="decide"
      data-may="decide"
      aria-label={`${label}: ${name}`}
      title={`${label} (${key})`}
      onClick={act}
    >
      {icon}
    </ButtonBase>
  ));
}
