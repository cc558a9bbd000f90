import type {
  CodesInfo,
  Me,
  NewCodes,
  OneTimeLink,
  PasskeyInfo,
  PeopleAnswer,
  Role,
  SessionInfo,
  TrailAnswer,
} from '../../../contract/people';
import { ask, query, send } from '../ask';

/** What views ask about who comes in. */
export const peopleApi = {
  me: () => ask<Me>('/api/me'),
  signIn: (who: { email: string; password: string; code?: string }) =>
    ask<{ in: true }>('/api/session', send('POST', who)),
  /** @param id of a session elsewhere; left out: this one */
  signOut: (id?: number) => ask<object>('/api/session', send('DELETE', { id })),
  sessions: () => ask<SessionInfo[]>('/api/session'),
  welcome: (asked: { token: string; password: string }) =>
    ask<{ in: true }>('/api/welcome', send('POST', asked)),
  firstOwner: (owner: { name: string; email: string; password: string }) =>
    ask<{ in: true }>('/api/people/first', send('POST', owner)),
  people: (account: number) => ask<PeopleAnswer>(`/api/people?${query({ account })}`),
  invite: (account: number, person: { name: string; email: string; role: Role }) =>
    ask<{ link: OneTimeLink | null }>('/api/people', send('POST', { account, ...person })),
  setRole: (account: number, person: number, role: Role | null) =>
    ask<{ kept: true }>('/api/people', send('PUT', { account, person, role })),
  newLink: (account: number, person: number) =>
    ask<OneTimeLink>('/api/people/link', send('POST', { account, person })),
  setPassword: (asked: { old: string; password: string }) =>
    ask<{ kept: true }>('/api/people/password', send('PUT', asked)),
  makeToken: (account: number, token: { name: string; role: Role; endsOn: string }) =>
    ask<{ id: number; key: string }>('/api/people/tokens', send('POST', { account, ...token })),
  trail: (account: number, asked: { find?: string; before?: number }) =>
    ask<TrailAnswer>(`/api/audit?${query({ account, ...asked })}`),
  codes: () => ask<CodesInfo>('/api/people/codes'),
  beginCodes: () => ask<NewCodes>('/api/people/codes', { method: 'POST' }),
  codesOn: (code: string) => ask<CodesInfo>('/api/people/codes', send('PUT', { code })),
  codesOff: (password: string) => ask<CodesInfo>('/api/people/codes', send('DELETE', { password })),
  passkeys: () => ask<PasskeyInfo[]>('/api/passkeys'),
  newPasskey: () => ask<object>('/api/passkeys/new', { method: 'POST' }),
  keepPasskey: (made: { name: string; response: unknown }) =>
    ask<{ kept: true }>('/api/passkeys', send('POST', made)),
  dropPasskey: (id: number) => ask<{ removed: true }>('/api/passkeys', send('DELETE', { id })),
  passkeyAsked: () => ask<object>('/api/passkeys/come-in', { method: 'PUT' }),
  comeInByPasskey: (response: unknown) =>
    ask<{ in: true }>('/api/passkeys/come-in', send('POST', { response })),
  endToken: (account: number, id: number) =>
    ask<{ ended: true }>(`/api/people/tokens?${query({ account, id })}`, { method: 'DELETE' }),
};
