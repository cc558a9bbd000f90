import { setTimeout as sleep } from 'node:timers/promises';
import { MowingError } from '../../contract/mowingError';

const SIGNED_IN_WITHIN_MS = 10_000;
/** Pause before the second try, doubled from then on. */
const FIRST_PAUSE_MS = 250;
const LONGEST_WAIT_S = 20;

/** Asks a market over HTTP: signs in, waits where it is told to, tries again what may be tried again. */
export interface Asker {
  ask: (path: string, init?: RequestInit, how?: AskHow) => Promise<Response>;
  body: <T>(path: string, init?: RequestInit, how?: AskHow) => Promise<T>;
}

/** How long, and how often, an answer is waited for. */
export interface Patience {
  tries: number;
  answerWithinMs: number;
}

export interface AskHow {
  withinMs?: number;
  /** In place of `withinMs`, for an answer that may take as long as it moves. */
  signal?: AbortSignal;
  /** How often a request that found no answer is tried; what must not act twice is tried once. */
  tries?: number;
}

/**
 * Every call throws MowingError: 'market-down' when no answer came (it may or may not have acted),
 * 'market-refused' when the market answered that it will not.
 */
export function asker(url: string, secret: string, { tries: usualTries, answerWithinMs }: Patience): Asker {
  let token: string | null = null;

  async function signIn(): Promise<string> {
    const answer = await reach(`${url}/token`, {
      ...json({ secret }),
      signal: AbortSignal.timeout(Math.min(SIGNED_IN_WITHIN_MS, answerWithinMs)),
    });
    if (!answer.ok) throw await refusal(answer);
    try {
      return ((await answer.json()) as { token: string }).token;
    } catch (error) {
      throw down(error);
    }
  }

  async function once(path: string, init: RequestInit, how: AskHow): Promise<Response> {
    for (let tries = 0; ; tries += 1) {
      token ??= await signIn();
      const headers = { ...(init.headers as Record<string, string>), authorization: `Bearer ${token}` };
      const answer = await reach(`${url}${path}`, {
        ...init,
        headers,
        signal: how.signal ?? AbortSignal.timeout(how.withinMs ?? answerWithinMs),
      });
      if (answer.status !== 401 || tries > 0) return answer;
      token = null; // the token ran out, or the market was started anew
    }
  }

  async function ask(path: string, init: RequestInit = {}, how: AskHow = {}): Promise<Response> {
    const most = how.tries ?? usualTries;
    for (let tries = 1; ; tries += 1) {
      let pause = FIRST_PAUSE_MS * 2 ** (tries - 1);
      try {
        const answer = await once(path, init, how);
        if (answer.ok) return answer;
        const mayRetry = answer.status === 429 || answer.status >= 500;
        if (!mayRetry || tries >= most) throw await refusal(answer);
        const wait = Number(answer.headers.get('retry-after'));
        if (wait > 0) pause = Math.min(wait, LONGEST_WAIT_S) * 1000;
        await answer.body?.cancel();
      } catch (error) {
        if (!(error instanceof MowingError) || error.code !== 'market-down' || tries >= most) throw error;
      }
      await sleep(pause);
    }
  }

  return {
    ask,
    body: async <T>(path: string, init?: RequestInit, how?: AskHow) => {
      const answer = await ask(path, init, how);
      try {
        return (await answer.json()) as T;
      } catch (error) {
        throw down(error);
      }
    },
  };
}

/** A POST with a JSON body. */
export function json(value: unknown, headers: Record<string, string> = {}): RequestInit {
  return {
    method: 'POST',
    body: JSON.stringify(value),
    headers: { 'content-type': 'application/json', ...headers },
  };
}

/** What fetch says when the other side closed the connection, often one that was kept open from the call before. */
const CLOSED = new Set(['UND_ERR_SOCKET', 'ECONNRESET', 'EPIPE']);

/** Asks once more over a new connection when the first was closed: no call here acts twice, batches carry their key. */
async function reach(url: string, init: RequestInit): Promise<Response> {
  for (let tries = 0; ; tries += 1) {
    try {
      return await fetch(url, init);
    } catch (error) {
      if (tries > 0 || !CLOSED.has(causeOf(error))) throw down(error);
    }
  }
}

function causeOf(error: unknown): string {
  const { cause, name } = error as { cause?: { code?: string }; name: string };
  return cause?.code ?? name;
}

export function down(error: unknown): MowingError {
  return new MowingError(
    'market-down',
    `The market did not answer (${causeOf(error)}). Nothing is lost; it will be asked again.`,
  );
}

async function refusal(answer: Response): Promise<MowingError> {
  const body = (await answer.json().catch(() => ({}))) as { sentence?: string; message?: string };
  const told = body.sentence ?? body.message ?? 'no reason given';
  if (answer.status >= 500 || answer.status === 429)
    return new MowingError(
      'market-down',
      `The market cannot answer now (${answer.status}: ${told}). Nothing is lost; it will be asked again.`,
    );
  return new MowingError('market-refused', `The market refused the request (${answer.status}: ${told}).`);
}
