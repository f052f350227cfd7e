// Before anything is painted: the theme that was chosen, else that of the system.
(() => {
    const chosen = localStorage.getItem('luftig-theme');
    const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
    document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light';
})();
