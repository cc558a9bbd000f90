import type { AccountInfo } from '../../contract/api';
import { wordsLoad } from '../shared/askWords/wordsLoad';

/** Parts that ask the server for their own figures. */
const WITHOUT_TERMS = ['rank', 'losses'];

/** What the words show first at an address. */
export const ahead = (values: URLSearchParams, account: AccountInfo) =>
  account.lastDay === null || WITHOUT_TERMS.includes(values.get('part') ?? '') ? null : wordsLoad(account);
