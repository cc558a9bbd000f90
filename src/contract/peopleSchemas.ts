import Joi from 'joi';
import { LEAST_PASSWORD, MOST_PASSWORD, ROLES } from './people';
import type { Role } from './people';
import type { OfAccount } from './requests';
import { day, id } from './schemas';

const email = Joi.string()
  .trim()
  .max(200)
  .pattern(/^[^\s@]+@[^\s@]+$/, 'an e-mail address')
  .required();
const name = Joi.string().trim().min(1).max(80).required();
const password = Joi.string().min(LEAST_PASSWORD).max(MOST_PASSWORD).required();
const token = Joi.string().max(200).required();

const code = Joi.string().trim().max(20);
const ownPassword = Joi.string().max(MOST_PASSWORD).required();

export const signInRequest = Joi.object<{ email: string; password: string; code?: string }>({
  email: Joi.string().trim().max(200).required(),
  password: ownPassword,
  code,
});

export const firstCode = Joi.object<{ code: string }>({ code: code.required() });
export const codesOff = Joi.object<{ password: string }>({ password: ownPassword });

export const firstOwnerRequest = Joi.object<{ name: string; email: string; password: string }>({
  name,
  email,
  password,
});

export const welcomeRequest = Joi.object<{ token: string; password: string }>({ token, password });

export const ownPasswordRequest = Joi.object<{ old: string; password: string }>({
  old: ownPassword,
  password,
});

export const invitation = Joi.object<OfAccount & { name: string; email: string; role: Role }>({
  account: id.required(),
  name,
  email,
  role: Joi.string()
    .valid(...ROLES)
    .required(),
});

export const roleChange = Joi.object<OfAccount & { person: number; role: Role | null }>({
  account: id.required(),
  person: id.required(),
  role: Joi.string()
    .valid(...ROLES)
    .allow(null)
    .required(),
});

export const personOfAccount = Joi.object<OfAccount & { person: number }>({
  account: id.required(),
  person: id.required(),
});

export const newToken = Joi.object<OfAccount & { name: string; role: Role; endsOn: string }>({
  account: id.required(),
  name,
  role: Joi.string()
    .valid(...ROLES.filter((role) => role !== 'owns'))
    .required(),
  endsOn: day.required(),
});

/** Lines of the trail: those that hold a text, older than a line; as a file all of them. */
export const trailQuery = Joi.object<OfAccount & { find?: string; before?: number; format?: 'csv' | 'xlsx' }>(
  {
    account: id.required(),
    find: Joi.string().trim().max(100).allow(''),
    before: Joi.number().integer().min(1),
    format: Joi.string().valid('csv', 'xlsx'),
  },
);

/** What a browser says of a passkey: looked through by the library that knows its form. */
const response = Joi.object({ id: Joi.string().max(2000).required() })
  .unknown(true)
  .required();
export const passkeyResponse = Joi.object<{ response: object }>({ response });
export const newPasskey = Joi.object<{ name: string; response: object }>({ name, response });
export const passkeyRemoval = Joi.object<{ id: number }>({ id: id.required() });

/** A session by its number; left out: the one that asks. */
export const sessionEnd = Joi.object<{ id?: number }>({ id });
