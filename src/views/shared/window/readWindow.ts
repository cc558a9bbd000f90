import type { AskedWindow } from '../../../contract/requests';
import { readSpan, writeSpan } from '../../../core/windows';

/** The window that an address asks for, and what it is compared with. */
export function readWindow(values: URLSearchParams): AskedWindow {
  const versus = readSpan(values.get('versus'));
  return {
    from: values.get('from') ?? undefined,
    to: values.get('to') ?? undefined,
    ...(versus && { versus: writeSpan(versus) }),
  };
}
