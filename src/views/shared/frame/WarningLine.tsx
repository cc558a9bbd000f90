import Alert from '@mui/material/Alert';
import { useState } from 'react';

/** A warning in a line under the top bar; put away until it says something else. */
export function WarningLine({ told }: { told: string }) {
  const [putAway, setPutAway] = useState('');
  // The figures in it move all the time; what is put away is the kind of trouble.
  const kind = told.replace(/[\d,.\s]+/g, '');
  return (
    <div>
      {told !== '' && kind !== putAway && (
        <Alert severity="warning" square onClose={() => setPutAway(kind)} sx={{ padding: '0 16px' }}>
          {told}
        </Alert>
      )}
    </div>
  );
}
