/** A stop of the tour: what it points at, on which step, and what it says. */
export interface TourStop {
  /** Of what it points at. */
  selector: string;
  /** The step that is shown; null: whichever is. */
  step: string | null;
  title: string;
  text: string;
}

export const TOUR: readonly TourStop[] = [
  {
    selector: 'nav[aria-label="Steps"]',
    step: null,
    title: 'A round, step by step',
    text: 'Go down the steps once a week. Each tells how many proposals are left and how much money is in them. Keys 1 to 9 go to a step.',
  },
  {
    selector: 'main section[aria-label="Picture"]',
    step: 'over',
    title: 'The cut line',
    text: 'What a click brings runs across, what it costs runs up. Above the line a click costs more than your target allows; below it there is room. Drag the line to try another target, brush an area to pick its rows.',
  },
  {
    selector: 'main [role="region"][aria-label$="rows"]',
    step: 'over',
    title: 'Decide row by row',
    text: 'Up and down move. Space accepts, x leaves it for 30 days, l puts it off a week, e edits the bid, u undoes. “Accept all” takes everything that is shown, after a summary.',
  },
  {
    selector: 'aside[aria-label="Evidence"]',
    step: 'over',
    title: 'Why',
    text: 'The evidence of the focused row: the reason with its numbers, what another bid would do, how sure the estimate is, every day of it.',
  },
  {
    selector: 'section[aria-label="Tray"]',
    step: null,
    title: 'Nothing goes out by itself',
    text: 'What you accept waits in the tray. Open it (t), look it over, send. The Ledger then shows the market’s answers and what the changes did, and can undo them.',
  },
];
