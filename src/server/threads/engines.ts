import type { BidsAskedWith } from '../../contract/bids';
import type { AccountTreeColumns } from '../../contract/field';
import type { ReviewColumns } from '../../contract/review';
import type { WordsAskedWith } from '../../contract/wordQuestions';
import type { BidFeed } from '../../core/bids';
import type { RankAnswer } from '../../contract/rank';
import { indexTree, toTargets } from '../../core/structure';
import type { AccountTree, TargetColumns, TreeIndex } from '../../core/structure';
import { answerBids } from '../../plans/bidAnswers';
import type { BidAnswers } from '../../plans/bidAnswers';
import { keptBids } from '../../plans/bids';
import type { KeptBids } from '../../plans/bids';
import { answerField } from '../../plans/field';
import type { FieldAnswers, FieldAskedWith } from '../../plans/field';
import { findIn } from '../../plans/findings';
import type { FindingsFrom, FoundIn } from '../../plans/findings';
import { workOutRank } from '../../plans/rank';
import type { RankFrom } from '../../plans/rank';
import { answerWords, keptWords } from '../../plans/words';
import type { KeptWords, WordAnswers, WordsFrom } from '../../plans/words';

/** What each engine is given of an account, keeps of it, is asked with and answers. */
export interface Engines {
  field: {
    from: { tree: AccountTreeColumns };
    kept: TreeIndex;
    asked: FieldAskedWith;
    answers: FieldAnswers;
  };
  bids: {
    from: { tree: AccountTree | AccountTreeColumns; feed: BidFeed };
    kept: KeptBids;
    asked: BidsAskedWith;
    answers: BidAnswers;
  };
  /** Placements and budgets are counted beside the bids that somebody waits for: they are worked out in a thread of their own. */
  money: Engines['bids'];
  words: {
    from: { review: ReviewColumns; tree: WordsFrom['tree'] };
    kept: KeptWords;
    asked: WordsAskedWith;
    answers: WordAnswers;
  };
  /** What is found in an account is kept, and not what it was found in. */
  findings: {
    from: FindingsFrom;
    kept: FoundIn;
    asked: { all: object };
    answers: { all: FoundIn };
  };
  /** The same of the list of ranks. */
  rank: {
    from: RankFrom;
    kept: RankAnswer;
    asked: { list: object };
    answers: { list: RankAnswer };
  };
}
export type EngineName = keyof Engines;

interface Engine<E extends EngineName> {
  keep: (from: Engines[E]['from']) => Engines[E]['kept'];
  /** So much is kept in all, weighed in rows; one account is kept whatever it weighs. */
  most: number;
  weigh: (kept: Engines[E]['kept']) => number;
  answer: <Q extends keyof Engines[E]['asked'] & keyof Engines[E]['answers']>(
    kept: Engines[E]['kept'],
    question: Q,
    asked: Engines[E]['asked'][Q],
  ) => Engines[E]['answers'][Q];
}

/** Targets travel to a thread as columns. */
const withTargets = <T extends { targets: unknown }>(all: T) => {
  const targets = all.targets as AccountTree['targets'] | TargetColumns;
  return { ...all, targets: Array.isArray(targets) ? targets : toTargets(targets) };
};

const BIDS = {
  keep: ({ tree, feed }: Engines['bids']['from']) => keptBids(indexTree(withTargets(tree)), feed),
  most: 200_000,
  weigh: ({ targetIds }: KeptBids) => targetIds.length,
  answer: answerBids,
};

/** What threads work out, each engine in one of its own. */
export const ENGINES: { [E in EngineName]: Engine<E> } = {
  field: {
    keep: ({ tree }) => indexTree(withTargets(tree)),
    most: 200_000,
    weigh: ({ tree }) => tree.targets.length,
    answer: answerField,
  },
  bids: BIDS,
  money: BIDS,
  words: {
    keep: ({ review, tree }) =>
      keptWords({ review: { ...review, structure: withTargets(review.structure) }, tree }),
    most: 1_000_000,
    weigh: ({ context }) => context.table.size,
    answer: answerWords,
  },
  findings: {
    keep: findIn,
    most: 100_000,
    weigh: ({ infos }) => infos.length,
    answer: (found) => found,
  },
  rank: {
    keep: workOutRank,
    most: 50_000,
    weigh: ({ rows }) => rows.length,
    answer: (list) => list,
  },
};
