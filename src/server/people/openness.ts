import { hasPeople } from '../../db/queries/people';
import { db } from '../context/context';

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** Whether other machines can reach the application: by its address, or by a name that was allowed. */
export const isForOthers = (): boolean =>
  !LOOPBACK.includes(process.env.MOWING_HOST ?? '127.0.0.1') ||
  (process.env.MOWING_HOSTS ?? '').trim() !== '';

/** Whether people have to sign in: from the first person on, and wherever others could come in. */
export const isClosed = async (): Promise<boolean> => isForOthers() || hasPeople(db());
