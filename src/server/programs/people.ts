// npm run people -- add NAME --email ADDRESS --owner | link --email ADDRESS | remove --email ADDRESS: who may come in, from the command line.
import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { parseArgs } from 'node:util';
import { LEAST_PASSWORD } from '../../contract/people';
import { addOwner, linkFor, takeOut } from '../people/people';
import { welcome } from '../people/links';
import { asProgram } from './asProgram';

const USAGE = `Use: npm run people -- add NAME --email ADDRESS --owner [--password-stdin | --link]
     npm run people -- link --email ADDRESS      a new one-time link, for a password that is lost
     npm run people -- remove --email ADDRESS [--last]    takes somebody out; her sessions and tokens end`;
const HERE = { address: 'this machine', browser: 'command line' };

async function main(): Promise<void> {
  process.env.MOWING_LOG = 'silent';
  const { values, positionals } = parseArgs({
    options: {
      email: { type: 'string' },
      owner: { type: 'boolean', default: false },
      'password-stdin': { type: 'boolean', default: false },
      link: { type: 'boolean', default: false },
      last: { type: 'boolean', default: false },
    },
    allowPositionals: true,
  });
  const [act, name] = positionals;
  const { email } = values;
  if (!email || !/^[^\s@]+@[^\s@]+$/.test(email)) throw new Error(USAGE);
  if (act === 'add' && name && values.owner) return add({ name, email }, values);
  if (act === 'link') return tell(await linkFor(email));
  if (act !== 'remove') throw new Error(USAGE);
  process.stdout.write(`${await takeOut(email, values.last)} is out.\n`);
}

async function add(
  owner: { name: string; email: string },
  { link: isLink, 'password-stdin': isPiped }: { link: boolean; 'password-stdin': boolean },
): Promise<void> {
  const password = isLink || (!isPiped && !process.stdin.isTTY) ? null : await askedPassword(isPiped);
  if (password !== null && password.length < LEAST_PASSWORD)
    throw new Error(`A password has at least ${LEAST_PASSWORD} characters. Nobody was added.`);
  const link = await addOwner(owner);
  if (password === null) return tell(link);
  await welcome({ token: link.path.split('#')[1], password }, HERE);
  process.stdout.write(`${owner.name} owns Mowing and can sign in as ${owner.email}.\n`);
}

/** The first line of what is piped in; at a terminal it is asked for, and not shown. */
async function askedPassword(isPiped: boolean): Promise<string> {
  const shown = new Writable({ write: (_piece, _encoding, done) => done() });
  if (!isPiped) process.stdout.write('Password: ');
  const lines = createInterface({ input: process.stdin, output: shown, terminal: !isPiped });
  try {
    for await (const line of lines) return line;
    return '';
  } finally {
    lines.close();
    if (!isPiped) process.stdout.write('\n');
  }
}

function tell({ path, until }: { path: string; until: string }): void {
  process.stdout.write(
    `Open this behind Mowing’s address and choose a password. It works once, until ${new Date(until).toISOString()}:\n${path}\n`,
  );
}

await asProgram(main);
