import { hasPeople } from '../../db/queries/people';
import { db, log } from '../context/context';
import { isForOthers } from '../people/openness';

/** Until somebody owns Mowing, it is open to whoever reaches it: so it lets itself be reached from its own machine only. Ends the program. */
export async function needOwnerForOthers(): Promise<void> {
  if (!isForOthers() || (await hasPeople(db()))) return;
  const message =
    'Nobody owns this Mowing yet, and nobody could sign in: it does not listen for other machines (MOWING_HOST, MOWING_HOSTS). Make an owner first: npm run people -- add NAME --email ADDRESS --owner';
  log().fatal(message);
  process.stderr.write(`${message}\n`);
  process.exit(1);
}
