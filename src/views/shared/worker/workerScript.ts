/** Where a page keeps the worker that it started before its scripts came. */
export const EARLY = 'mowingEarlyWorker';

/**
 * Starts the worker that the place asks first, before any other script is here: it takes as long to come as the page itself. It stands in
 * the page; the build puts its hash on the policy for scripts. The worker's name tells it the reader's locale, as `readerLocale` does.
 */
export const WORKER_SCRIPT = `(function () {
  var at = document.currentScript.dataset, locale = null;
  try { locale = JSON.parse(localStorage.getItem('mowing-numbers')); } catch (error) {}
  var worker = new Worker(at.address, { type: 'module', name: locale || navigator.language });
  window.${EARLY} = { of: at.of, worker: worker };
  worker.onerror = function () { window.${EARLY} = undefined; };
})();`;
