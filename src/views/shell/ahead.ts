// Runs before the application's script is here: its worker reads and works while that comes and is set up.
import type { AccountInfo } from '../../contract/api';
import { ahead as field } from '../field/ahead';
import { ahead as round } from '../round/ahead';
import { ahead as words } from '../words/ahead';
import { chosenAccount, given } from '../shared/given';
import type { PageName } from '../shared/frame/pages';
import { askAhead } from '../shared/worker/workerLoad';
import type { AheadLoad } from '../shared/worker/workerLoad';
import { returned } from './returned';

type Ahead = (values: URLSearchParams, account: AccountInfo) => AheadLoad<unknown> | null;

const PLACES: Partial<Record<PageName, Ahead>> = { field, round, words };

const place = location.pathname.replaceAll('/', '') as PageName;
const values = new URLSearchParams(returned(place, location.search.replace(/^\?/, ''), {}));
const account = chosenAccount(given()?.accounts ?? [], values.get('account'));
const load = account && PLACES[place]?.(values, account);
if (load) askAhead(load);
