/** Dark or light, as chosen on this machine. */
export default () => ({
    toggle() {
        const root = document.documentElement;
        root.dataset.bsTheme = root.dataset.bsTheme === 'dark' ? 'light' : 'dark';
        localStorage.setItem('luftig-theme', root.dataset.bsTheme);
        dispatchEvent(new Event('themed'));
    },
});
