import { TERM_STEPS } from '../../contract/review';
import type { PageName } from '../shared/frame/pages';
import type { WorkerName } from '../shared/worker/earlyWorker';

/** The worker that a place asks first at an address; undefined: none. */
export function firstWorker(place: PageName, values: URLSearchParams): WorkerName | undefined {
  if (place === 'field') return 'field';
  if (place !== 'round') return undefined;
  return TERM_STEPS.some((step) => step === values.get('step')) ? 'review' : 'field';
}
