/*
 * The Bench as it was seen last, until the app has looked: links only, and only where nothing has changed since. What is
 * kept, and when it is dropped, stands in src/state/persistence/front.ts.
 */
(() => {
  try {
    const mode = document.querySelector('meta[name=mode]').content;
    const kept = JSON.parse(localStorage.getItem(`loose-pulley front ${mode}`) ?? 'null');
    const build = document.querySelector('script[type=module]').src;
    if (!kept || location.pathname !== '/' || kept.build !== build || kept.day !== new Date().toDateString()) return;
    document.documentElement.dataset.theme = kept.theme;
    document.getElementById('root').innerHTML = kept.html;
  } catch {
    // Without it the app itself is waited for.
  }
})();
