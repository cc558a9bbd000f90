import { endpoint } from '../../server/http/endpoint';
import { metricsText } from '../../server/metrics/metrics';

/** What is measured, in the text format of Prometheus; where people sign in, for a token. */
export const GET = endpoint({
  may: 'see',
  isLight: true,
  run: async () => {
    const { text, type } = await metricsText();
    return new Response(text, { headers: { 'content-type': type } });
  },
});
