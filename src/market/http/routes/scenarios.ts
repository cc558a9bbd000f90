import { dropScenario, openScenario } from '../../store/play';
import { refuse } from '../market';
import type { Market, Passing } from '../market';

/** Scenarios are opened, looked after and dropped. */
export function addScenarios({ server, sql, known }: Market): void {
  const opening = new Map<string, Passing>();
  server.post<{ Params: { key: string } }>('/scenarios/:key', async (request, reply) => {
    const { key } = request.params;
    const scenario = known.get(key);
    if (!scenario) return refuse(reply, 404, 'no-scenario', `There is no scenario ${key}.`);
    const now = opening.get(key);
    if (now && now.trouble === '' && now.done < now.of) return reply.code(202).send(now);
    const state: Passing = { done: 0, of: scenario.days, trouble: '' };
    opening.set(key, state);
    // The last day is told when the transaction is through.
    openScenario(sql, scenario, (done, of) => (state.done = Math.min(done, of - 1)))
      .then(() => (state.done = state.of))
      .catch((error: Error) => {
        state.trouble = error.message;
        server.log.error(error);
      });
    return reply.code(202).send(state);
  });

  server.get<{ Params: { key: string } }>('/scenarios/:key', async (request, reply) => {
    const state = opening.get(request.params.key);
    return state ?? refuse(reply, 404, 'not-asked', `Nobody asked to open ${request.params.key}.`);
  });

  server.delete<{ Params: { key: string } }>('/scenarios/:key', async (request) => {
    await dropScenario(sql, request.params.key);
    return { dropped: true };
  });
}
