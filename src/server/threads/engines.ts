import type { AccountTreeColumns } from '../../contract/field';
import type { ReviewColumns } from '../../contract/review';
import type { WordsAskedWith } from '../../contract/wordQuestions';
import type { BidFeed } from '../../core/bids';
import type { RankAnswer } from '../../contract/rank';
import { indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import type { Day } from '../../core/units';
import { answerBids } from '../../plans/bidAnswers';
import type { BidAnswers, BidsAsked } from '../../plans/bidAnswers';
import { keptBids } from '../../plans/bids';
import type { KeptBids } from '../../plans/bids';
import { answerField } from '../../plans/fieldAnswers';
import type { FieldAnswers, FieldAskedWith } from '../../plans/fieldAnswers';
import { findIn } from '../../plans/findings';
import type { FindingsFrom, FoundIn } from '../../plans/findings';
import { feedOnDay, reviewBefore, treeBefore } from '../../plans/past';
import type { Since } from '../../plans/past';
import { workOutRank } from '../../plans/rank';
import type { RankFrom } from '../../plans/rank';
import { answerTerms } from '../../plans/termAnswers';
import type { TermAnswers, TermsAskedWith } from '../../plans/termAnswers';
import { keptReview } from '../../plans/terms';
import type { KeptReview } from '../../plans/terms';
import { answerWords, keptWords } from '../../plans/words';
import type { KeptWords, WordAnswers, WordsFrom } from '../../plans/words';

/** A day that is past: what stood then, and which day is the account's present one. */
export interface Past {
  on: Day;
  today: Day;
  since: Since;
}

/** What each engine is given of an account, keeps of it, is asked with and answers. */
export interface Engines {
  field: {
    from: { tree: AccountTreeColumns; since?: Since };
    kept: TreeIndex;
    asked: FieldAskedWith;
    answers: FieldAnswers;
  };
  bids: {
    from: { tree: AccountTreeColumns; feed: BidFeed; past?: Past };
    kept: KeptBids;
    asked: BidsAsked;
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
  /** Search terms of a window, with what is proposed on them. */
  terms: {
    from: { review: ReviewColumns; since?: Since };
    kept: KeptReview;
    asked: TermsAskedWith;
    answers: TermAnswers;
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

const BIDS = {
  keep: ({ tree, feed, past }: Engines['bids']['from']) =>
    keptBids(indexTree(treeBefore(tree, past?.since)), past ? feedOnDay(feed, past.on, past.today) : feed),
  most: 200_000,
  weigh: ({ targetIds }: KeptBids) => targetIds.length,
  answer: answerBids,
};

/** What threads work out, each engine in one of its own. */
export const ENGINES: { [E in EngineName]: Engine<E> } = {
  field: {
    keep: ({ tree, since }) => indexTree(treeBefore(tree, since)),
    most: 200_000,
    weigh: ({ tree }) => tree.targets.length,
    answer: answerField,
  },
  bids: BIDS,
  money: BIDS,
  words: {
    keep: ({ review, tree }) => keptWords({ review: reviewBefore(review), tree }),
    most: 1_000_000,
    weigh: ({ context }) => context.table.size,
    answer: answerWords,
  },
  terms: {
    keep: ({ review, since }) => keptReview(1, reviewBefore(review, since)),
    most: 500_000,
    weigh: ({ loaded }) => loaded.table.size,
    answer: answerTerms,
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
