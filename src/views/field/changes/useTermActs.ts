import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import type { StepName } from '../../../contract/review';
import type { NegativeListInfo } from '../../../contract/words';
import { isItemCode } from '../../../core/matching';
import type { LoadedLens } from '../../../plans/field';
import { joinChanges, reviewSettings, toChanges } from '../../../plans/terms';
import { api } from '../../shared/api';
import { pageReview } from '../../shared/reviewEngine/pageReview';
import { countWords } from '../../shared/rowRequest';
import { useTell } from '../../shared/useTell';

interface TermActsAsked {
  account: AccountInfo;
  loaded: LoadedLens;
  /** The chosen rows. */
  chosen: number[];
  onStage: (changes: NewChange[]) => void;
}

/** What the round does with search terms, done on the chosen rows of the field: promoted, blocked, put on a list, pinned. */
export function useTermActs({ account, loaded, chosen, onStage }: TermActsAsked) {
  const { table, window } = loaded;
  const tell = useTell();
  const client = useQueryClient();
  const lists = useQuery({
    queryKey: ['negative-lists', account.id, 'field'],
    queryFn: () => api.negativeLists(account.id),
  });
  const names = () => [...new Set(chosen.map((row) => table.name[row]))];
  const onError = (error: Error) => tell(error.message, { kind: 'fault' });

  const propose = useMutation({
    mutationFn: async (step: StepName) => {
      const engine = pageReview();
      const review = await engine.load(account.id, window.from, window.to);
      const at = new Map(
        Array.from(review.table.termId, (termId, row) => [`${review.table.adGroupId[row]} ${termId}`, row]),
      );
      // Several targets of an ad group may have caught a term: it is moved or blocked once.
      const rows = [
        ...new Set(chosen.flatMap((row) => at.get(`${table.adGroupId[row]} ${table.part[row]}`) ?? [])),
      ];
      const settings = reviewSettings(account.choices.terms, account.targetAcos);
      const proposals = await engine.propose(review.loadId, step, rows, settings);
      const made = proposals.map((one) => toChanges(one, review, account.targetAcos));
      return { made, missing: chosen.length > 0 && rows.length === 0 };
    },
    onSuccess: ({ made, missing }) => {
      const ready = made.filter((one) => one !== null);
      const homeless = made.length - ready.length;
      if (missing)
        tell('These terms did not run in this window: there is nothing to go by.', { kind: 'warning' });
      if (homeless > 0)
        tell(`${countWords(table.lens, homeless)} without a home: the round’s harvest lets you choose one.`, {
          kind: 'warning',
        });
      onStage(joinChanges(ready));
    },
    onError,
  });
  const putOn = useMutation({
    mutationFn: async (list: NegativeListInfo) => {
      const has = new Set(list.terms.map(({ expression }) => expression));
      const news = names().filter((name) => !has.has(name));
      await api.keepNegativeList({
        account: account.id,
        list: {
          id: list.id,
          name: list.name,
          campaignIds: list.campaignIds,
          terms: [
            ...list.terms.map(({ match, expression }) => ({ match, expression })),
            ...news.map((expression) => ({
              match: isItemCode(expression) ? ('item' as const) : ('exact' as const),
              expression,
            })),
          ],
        },
      });
      return { list, count: news.length };
    },
    onSuccess: ({ list, count }) =>
      tell(
        `${count === 1 ? 'One term is' : `${count} terms are`} new on “${list.name}”: Words › Lists stages what is missing.`,
      ),
    onError,
    onSettled: () => client.invalidateQueries({ queryKey: ['negative-lists', account.id] }),
  });
  const pin = useMutation({
    mutationFn: async () => {
      const known = new Map(chosen.map((row) => [table.name[row], table.productId[row]]));
      const pinnable = [...known].filter(([, productId]) => productId !== 0);
      for (const [term, productId] of pinnable) await api.pinTerm(account.id, productId, term);
      return { pinned: pinnable.length, left: known.size - pinnable.length };
    },
    onSuccess: ({ pinned, left }) => {
      if (pinned > 0)
        tell(
          `${countWords(table.lens, pinned)} pinned to the core list of ${pinned === 1 ? 'its' : 'their'} product.`,
        );
      if (left > 0)
        tell(`${countWords(table.lens, left)} of ad groups without one product cannot be pinned.`, {
          kind: 'warning',
        });
    },
    onError,
    onSettled: () => client.invalidateQueries({ queryKey: ['pinned-terms', account.id] }),
  });
  return {
    promote: () => propose.mutate('harvest'),
    block: () => propose.mutate('negatives'),
    isBusy: propose.isPending || putOn.isPending || pin.isPending,
    lists: lists.data?.lists ?? [],
    putOn: (list: NegativeListInfo) => putOn.mutate(list),
    pin: () => pin.mutate(),
  };
}
