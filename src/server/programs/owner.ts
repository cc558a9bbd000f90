import { log } from '../context/context';
import { isClosed } from '../people/visitor';

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** Until somebody owns Mowing, it is open to whoever reaches it: so it lets itself be reached from its own machine only. Ends the program. */
export async function needOwnerForOthers(host: string): Promise<void> {
  const isForOthers = !LOOPBACK.includes(host) || (process.env.MOWING_HOSTS ?? '').trim() !== '';
  if (!isForOthers || (await isClosed())) return;
  const message = `Nobody owns this Mowing yet, and nobody would have to sign in: it does not listen for other machines (MOWING_HOST ${host}, MOWING_HOSTS). Make an owner first: npm run people -- add NAME --email ADDRESS --owner`;
  log().fatal(message);
  process.stderr.write(`${message}\n`);
  process.exit(1);
}
