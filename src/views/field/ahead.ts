import type { AccountInfo } from '../../contract/api';
import type { LensName } from '../../core/lenses';
import { readWindow } from '../shared/window/readWindow';
import { lensLoad, USUAL_LENS } from './lensLoad';

/** What the field shows first at an address. */
export const ahead = (values: URLSearchParams, account: AccountInfo) =>
  lensLoad(account, (values.get('lens') as LensName | null) ?? USUAL_LENS, readWindow(values));
