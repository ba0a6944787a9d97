// Before the first paint: the scheme that the reader chose here, or else the system's.
(() => {
  let chosen = null;
  try {
    chosen = localStorage.getItem('yarn-card/scheme');
  } catch {
    // A page that may not keep anything follows the system.
  }
  const isDark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.scheme = isDark ? 'dark' : 'light';
})();
