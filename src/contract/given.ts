import type { AccountInfo, RevisionAnswer } from './api';
import type { SettledWindow } from '../core/windows';
import type { Aside } from './aside';
import type { ChangeInfo } from './changes';
import type { Me } from './people';
import type { RulesAnswer } from './rules';

/** What comes with a page, so that it need not ask for it: its frame is drawn from it. What is left out it asks for itself. */
export interface Given {
  accounts: AccountInfo[];
  me: Me;
  /** Of the account that the address names. */
  of: {
    account: number;
    revision: RevisionAnswer;
    rules: RulesAnswer;
    /** Left out where they are many. */
    staged?: ChangeInfo[];
    sending?: ChangeInfo[];
    /** For the round: what is put aside, and the days that it looks at. */
    aside?: { aside: Aside[] };
    window?: SettledWindow;
  } | null;
}
