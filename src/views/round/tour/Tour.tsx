import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Popper from '@mui/material/Popper';
import { useEffect, useState } from 'react';
import { useKeys } from '../../shared/useKeys';
import { TOUR_OVER, useTour } from '../../shared/tour';
import type { RoundState } from '../useRoundState';
import { TOUR } from './stops';

/** Before the first stop the tour is only offered. */
const OFFERED = 0;

/** The offer of a tour, for those who are new: it stands below the steps and is in nobody's way. */
export function TourOffer() {
  const { at, go } = useTour();
  if (at !== OFFERED) return null;
  return (
    <section aria-label="Tour" className="tourOffer">
      <p className="line">New here? A tour of the Round takes a minute.</p>
      <div className="bar">
        <Button variant="outlined" onClick={() => go(1)}>
          Take the tour
        </Button>
        <Button onClick={() => go(TOUR_OVER)}>No, thanks</Button>
      </div>
    </section>
  );
}

/** The tour of the Round: a card at each of five stops. The page stays usable; it can be left at any of them. */
export function Tour({ state }: { state: RoundState }) {
  const { at, go } = useTour();
  const stop = at > OFFERED ? TOUR[at - 1] : undefined;
  const place = usePlaceOf(stop?.selector, state.step);
  const { step } = stop ?? { step: null };
  useEffect(() => {
    if (step !== null && state.step !== step) state.setStep(step);
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- once at each stop: the reader may look elsewhere
  }, [stop]);
  useKeys(stop ? { escape: () => go(TOUR_OVER) } : {});
  if (!stop || !place) return null;
  const isLast = at === TOUR.length;
  return (
    <Popper open anchorEl={place} placement="right-start" modifiers={INSIDE} className="tour">
      <Paper role="group" aria-label={`Tour, ${at} of ${TOUR.length}: ${stop.title}`} className="tourCard">
        <h2 className="panelTitle">{stop.title}</h2>
        <p>{stop.text}</p>
        <div className="bar">
          <span className="faint">
            {at} of {TOUR.length}
          </span>
          <span className="room" />
          {at > 1 && <Button onClick={() => go(at - 1)}>Back</Button>}
          {!isLast && <Button onClick={() => go(TOUR_OVER)}>Leave</Button>}
          <Button variant="contained" autoFocus onClick={() => go(isLast ? TOUR_OVER : at + 1)}>
            {isLast ? 'Begin' : 'Next'}
          </Button>
        </div>
      </Paper>
    </Popper>
  );
}

/** The card stays inside the window, over what it points at where there is no room beside it. */
const INSIDE = [
  { name: 'preventOverflow', options: { altAxis: true, tether: false, padding: 12 } },
  { name: 'offset', options: { offset: [12, 12] } },
];

/** What a stop points at, once it is in the page. */
function usePlaceOf(selector: string | undefined, step: string): Element | null {
  const [place, setPlace] = useState<Element | null>(null);
  useEffect(() => {
    setPlace(null);
    if (selector === undefined) return;
    const look = () => setPlace(visible(selector));
    look();
    const timer = setInterval(look, 250);
    return () => clearInterval(timer);
  }, [selector, step]);
  return place;
}

/** Places that were left stay in the page, out of sight. */
const visible = (selector: string) =>
  [...document.querySelectorAll(selector)].find((one) => one.getClientRects().length > 0) ?? null;
