import type { ReportContent } from '../contract/report';

/** Words that somebody who does not know the application may not know, with what they mean. */
const HOUSE_WORDS: readonly [word: RegExp, meaning: string][] = [
  [/\bTACOS\b/, 'ad spend ÷ all sales, with ads or without'],
  [/\bACOS\b/, 'ad spend ÷ ad sales'],
  [/\bbales?\b/i, 'changes that were sent together'],
  [/\brounds?\b/i, 'one dated review of all campaigns'],
  [/\bnights?\b/i, 'one run of the standing rules'],
  [/\bstanding rules?\b/i, 'rules that look at the account every night by themselves'],
  [/\bharvest(ed)?\b/i, 'a search term that sold becomes a target of its own'],
  [/\bnegatives?\b/i, 'terms for which ads are kept from showing'],
  [/\baccepted loss(es)?\b/i, 'costs above the target that are wanted for a time'],
  [/\bput aside\b/i, 'proposals that are not to come up again before a day'],
  [/\bunsettled days?\b/i, 'their orders are still coming in'],
  [/\borganic rank\b/i, 'place in the search results that nobody pays for'],
  [/\bfindings?\b/i, 'what a campaign structure lacks or has too much of'],
];

/** Finds the place of each word's first use in a report's texts: the page explains it there, and nowhere else. */
export function explainer(): (text: string) => { before: string; meaning: string }[] {
  const left = new Map(HOUSE_WORDS.map(([word, meaning]) => [word, meaning]));
  return (text) => {
    const found: { at: number; end: number; meaning: string }[] = [];
    for (const [word, meaning] of [...left]) {
      const match = word.exec(text);
      if (!match) continue;
      const at = { at: match.index, end: match.index + match[0].length, meaning };
      // "TACOS" holds no "ACOS" of its own; words inside one another are explained by the longer.
      if (found.some((one) => at.at < one.end && one.at < at.end)) continue;
      found.push(at);
      left.delete(word);
    }
    found.sort((a, b) => a.at - b.at);
    let from = 0;
    return [
      ...found.map(({ end, meaning }) => {
        const before = text.slice(from, end);
        from = end;
        return { before, meaning };
      }),
      { before: text.slice(from), meaning: '' },
    ];
  };
}

/** Every text of a report in reading order, for tests and for words. */
export const textsOf = ({ parts }: ReportContent): string[] =>
  parts.flatMap(({ title, note, blocks }) => [
    title,
    ...(note === '' ? [] : [note]),
    ...blocks.flatMap((block) => (block.kind === 'text' ? [block.text] : [block.name])),
  ]);
