// Whether the page before this one was left while something that it had sent was not answered: what comes with this page may
// have been read before that arrived.

const KEY = 'mowing-unanswered';
let open = 0;
let isLeaving = false;

/** Whether the page before was left so; it counts for this page alone. */
const wasLeft = takeMark();

function takeMark(): boolean {
  try {
    const mark = sessionStorage.getItem(KEY);
    sessionStorage.removeItem(KEY);
    return mark !== null;
  } catch {
    return true; // nobody can tell
  }
}

function mark(): void {
  try {
    if (open > 0) sessionStorage.setItem(KEY, '1');
    // Requests that are given up because the page is left are not answered.
    else if (!isLeaving) sessionStorage.removeItem(KEY);
  } catch {
    // Without a storage every page asks for everything.
  }
}

if (typeof window !== 'undefined') {
  addEventListener('pagehide', () => (isLeaving = true));
  addEventListener('pageshow', () => (isLeaving = false));
}

/** Whether something that the page before sent may not have been done when this page was made. */
export const mayBeLate = () => wasLeft;

/** Sends something that changes what the server holds. */
export async function sending<T>(work: () => Promise<T>): Promise<T> {
  open += 1;
  mark();
  try {
    return await work();
  } finally {
    open -= 1;
    mark();
  }
}
