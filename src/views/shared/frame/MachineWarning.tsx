import Alert from '@mui/material/Alert';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api';

const ASK_EVERY_MS = 60_000;

/** What the machine will want for soon, in a line under the top bar; put away until it says something else. */
export function MachineWarning() {
  const [putAway, setPutAway] = useState('');
  const { data } = useQuery({
    queryKey: ['health'],
    queryFn: api.health,
    refetchInterval: ASK_EVERY_MS,
    retry: false,
  });
  const told = (data?.warnings ?? []).join(' ');
  // The figure in it moves all the time; what is put away is the kind of trouble.
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
