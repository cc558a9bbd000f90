import { useQuery } from '@tanstack/react-query';
import { api } from '../api';
import { WarningLine } from './WarningLine';

const ASK_EVERY_MS = 60_000;

/** What the machine will want for soon. */
export function MachineWarning() {
  const { data } = useQuery({
    queryKey: ['health'],
    queryFn: api.health,
    refetchInterval: ASK_EVERY_MS,
    retry: false,
  });
  return <WarningLine told={(data?.warnings ?? []).join(' ')} />;
}
