import { endpoint } from '../../server/http/endpoint';
import { meOf } from '../../server/people/meOf';

/** Who asks. */
export const GET = endpoint({ may: 'self', isLight: true, run: ({ visitor }) => meOf(visitor) });
