/** Chooses daylight or dusk before anything is painted. It stands in the page itself; the build puts its hash on the policy for scripts. */
export const THEME_SCRIPT = `(function () {
  var mode = localStorage.getItem('mowing-theme') || 'system';
  var dusk = mode === 'dark' || (mode === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.dataset.theme = dusk ? 'dark' : 'light';
})();`;
