import { loadHealth } from '../../../server/health';
import { endpoint } from '../../../server/http/endpoint';

/** Whether the application, its database and its market answer; 503 when the database does not. */
export const GET = endpoint({
  may: 'anyone',
  isLight: true,
  run: async () => {
    const health = await loadHealth();
    return Response.json(health, { status: health.database === 'ok' ? 200 : 503 });
  },
});
