import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';

/** Takes a line out of a plan. */
export function TakeOut({ what, onClick }: { what: string; onClick: () => void }) {
  return (
    <IconButton size="small" aria-label={`Take out ${what}`} title="Take it out (Delete)" onClick={onClick}>
      <CloseIcon fontSize="inherit" />
    </IconButton>
  );
}
