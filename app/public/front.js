/*
 * What is typed before the app runs is kept for the field that starts the work; see src/state/persistence/early.ts.
 */
(() => {
  if (location.pathname !== '/') return;
  const early = { text: '' };
  const onKey = (event) => {
    if (document.activeElement !== document.body || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'Backspace') early.text = early.text.slice(0, -1);
    else if (event.key.length === 1) early.text += event.key;
  };
  const onInput = ({ target }) => {
    early.text = target.value;
  };
  addEventListener('keydown', onKey);
  addEventListener('input', onInput);
  early.end = () => {
    removeEventListener('keydown', onKey);
    removeEventListener('input', onInput);
    early.end = () => undefined;
    return early.text;
  };
  window.typedEarly = early;
})();

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
    const first = document.querySelector('[data-first]');
    if (matchMedia('(hover: hover)').matches) first?.focus();
  } catch {
    // Without it the app itself is waited for.
  }
})();
