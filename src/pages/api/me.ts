import type { Me } from '../../contract/people';
import { endpoint } from '../../server/http/endpoint';

/** Who asks. */
export const GET = endpoint({
  may: 'self',
  isLight: true,
  run: ({ visitor }): Me => {
    if (!visitor?.person) return { person: null };
    const { id, name, email, ownsAll } = visitor.person;
    return { person: { id, name, email, ownsAll } };
  },
});
