import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';

interface TakeOutProps {
  what: string;
  /** The key that does it too. */
  keys?: string;
  onClick: () => void;
}

/** Takes a line out. */
export function TakeOut({ what, keys, onClick }: TakeOutProps) {
  return (
    <IconButton
      size="small"
      aria-label={`Take out ${what}`}
      title={keys ? `Take it out (${keys})` : 'Take it out'}
      onClick={onClick}
    >
      <CloseIcon fontSize="inherit" />
    </IconButton>
  );
}
