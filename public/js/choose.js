/**
 * A field that one types into with what can be chosen under it: arrows move, Enter takes the one in focus or the first.
 * Where the list is on the page it is narrowed here; where the server knows it, htmx brings it anew.
 */
export default () => ({
    open: false,
    at: null,
    init() {
        this.$refs.typed.removeAttribute('list');
    },
    shown() {
        return [...this.$refs.found.querySelectorAll('[role=option]')].filter((one) => !one.hidden);
    },
    narrow() {
        this.open = true;
        const words = this.$refs.typed.value.toLowerCase().split(/\s+/);
        for (const one of this.$refs.found.querySelectorAll('[role=option]')) {
            const text = one.textContent.toLowerCase();
            one.hidden = !words.every((word) => text.includes(word));
        }
        for (const group of this.$refs.found.querySelectorAll('[role=group]')) {
            group.hidden = !group.querySelector('[role=option]:not([hidden])');
        }
        this.mark(null);
    },
    mark(one) {
        this.at?.setAttribute('aria-selected', 'false');
        this.at?.classList.remove('active');
        this.at = one;
        one?.setAttribute('aria-selected', 'true');
        one?.classList.add('active');
        one?.scrollIntoView({ block: 'nearest' });
        if (one) this.$refs.typed.setAttribute('aria-activedescendant', one.id);
        else this.$refs.typed.removeAttribute('aria-activedescendant');
    },
    move(event, by) {
        event.preventDefault();
        this.open = true;
        const all = this.shown();
        this.mark(all[Math.max(0, Math.min(all.length - 1, all.indexOf(this.at) + by))] ?? null);
    },
    down(event) {
        this.move(event, 1);
    },
    up(event) {
        this.move(event, -1);
    },
    enter(event) {
        const first = 'takesFirst' in this.$root.dataset ? this.shown()[0] : null;
        const one = this.at?.isConnected && !this.at.hidden ? this.at : first;
        if (!one) return;
        event.preventDefault();
        one.click();
    },
    show() {
        this.open = true;
    },
    // What was chosen goes into the field.
    put(event) {
        const one = event.target.closest('[data-value]');
        if (!one) return;
        this.$refs.typed.value = one.dataset.value;
        this.close();
        this.$refs.typed.focus();
    },
    close() {
        this.open = false;
        this.mark(null);
    },
    leave(event) {
        if (!this.$root.contains(event.relatedTarget)) this.close();
    },
});
