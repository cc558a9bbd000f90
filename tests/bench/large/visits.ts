import { bareBids, bareCampaigns, bareLens, bareOverview, bareReview, bareWords } from './bare';
import type { Bare } from './bare';

/** A place or step that is visited: where it is, and what is seen once its first rows stand. */
export interface Visit {
  name: string;
  /** Address without the account. */
  at: string;
  /** A selector of what tells that the figures stand. */
  sign: string;
  /** Targets of time to first rows, s: from a cold page, and when the place is entered again. */
  bar: { cold: number; warm: number };
  /** What has to be read and computed for it in any case; left out where that is next to nothing, or the server's alone. */
  bare?: Bare;
}

const ROW = 'main .table-row';
/** A step may have nothing left: then it says so. */
const STEP = 'main .table-row, main .state';
const visit = (name: string, at: string, cold: number, warm: number, sign = ROW, bare?: Bare): Visit => ({
  name,
  at,
  sign,
  bar: { cold, warm },
  ...(bare && { bare }),
});

/** Every place and step. */
export const VISITS: readonly Visit[] = [
  visit('Field, keywords', '/field?lens=keywords', 1.5, 0.3, ROW, bareLens('keywords')),
  visit('Field, targets', '/field?lens=targets', 1.5, 0.3, ROW, bareLens('targets')),
  visit('Field, campaigns', '/field?lens=campaigns', 1, 0.3, ROW, bareLens('campaigns')),
  visit('Field, ad groups', '/field?lens=ad-groups', 1, 0.3, ROW, bareLens('ad-groups')),
  visit('Field, products', '/field?lens=products', 1, 0.3, ROW, bareLens('products')),
  visit('Field, placements', '/field?lens=placements', 1, 0.3, ROW, bareLens('placements')),
  visit(
    'Field, cross-tab',
    '/field?lens=campaigns&shape=cross&down=line&across=state',
    1,
    0.3,
    'main [role=table] [role=row], main table tbody tr',
  ),
  visit('Field, search terms', '/field?lens=terms', 4, 0.5, ROW, bareLens('terms')),
  visit('Round, overview', '/round', 2, 0.3, 'main section svg', bareOverview),
  visit('Round, dead spend', '/round?step=dead', 4, 0.5, STEP, bareBids),
  visit('Round, overpaying', '/round?step=over', 4, 0.5, STEP, bareBids),
  visit('Round, room to grow', '/round?step=grow', 4, 0.5, STEP, bareBids),
  visit('Round, harvest', '/round?step=harvest', 5, 0.5, STEP, bareReview),
  visit('Round, negatives', '/round?step=negatives', 5, 0.5, STEP, bareReview),
  visit('Round, placements', '/round?step=placements', 4, 0.5, STEP, bareCampaigns),
  visit('Round, budgets', '/round?step=budgets', 4, 0.5, 'main .table-row, main button', bareCampaigns),
  visit('Round, hours', '/round?step=hours', 4, 0.5, 'main .table-row, main .state'),
  visit('Words, word parts', '/words?part=parts', 5, 0.5, 'main tbody tr, main .table-row', bareWords),
  visit('Words, core lists', '/words?part=core', 5, 0.5, 'main tbody tr, main .table-row', bareWords),
  visit(
    'Words, negatives',
    '/words?part=negatives',
    5,
    0.5,
    'main tbody tr, main .table-row, main .state',
    bareWords,
  ),
  visit('Words, rank', '/words?part=rank', 5, 0.5, 'main .table-row'),
  visit('Routes', '/routes', 2, 0.3, 'main svg, main .state'),
  visit('Hours', '/hours', 2, 0.3, 'main svg'),
  visit('Build, structure', '/build', 4, 0.5, 'main .table-row, main tbody tr'),
  visit('Standing', '/standing', 1, 0.3, 'main'),
  visit('Ledger', '/ledger', 1, 0.3, 'main'),
  visit('Setup, products', '/setup?part=products', 1, 0.3, 'main tbody tr, main .table-row'),
];
