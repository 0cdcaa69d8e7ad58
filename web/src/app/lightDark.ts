const KEY = 'rubbet-theme';

/** Sets the theme that was chosen last, or the system's. */
export const applyTheme = (): void => {
  const chosen = localStorage.getItem(KEY);
  const dark = chosen ? chosen === 'dark' : window.matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.classList.toggle('dark', dark);
};

/** Changes between light and dark and remembers it. */
export const toggleTheme = (): void => {
  const dark = !document.documentElement.classList.contains('dark');
  localStorage.setItem(KEY, dark ? 'dark' : 'light');
  document.documentElement.classList.toggle('dark', dark);
};

applyTheme();
// Paper is white: light ink would not be seen on it.
window.addEventListener('beforeprint', () => document.documentElement.classList.remove('dark'));
window.addEventListener('afterprint', applyTheme);
