const fields = 'input:not([type=checkbox], [type=radio]), textarea, select, .modal, .dropdown-menu';
const controls = 'button, summary, form input, form select, a:not([data-row] a)';

/** Rows that one moves through by arrows or J and K; Enter opens the one in focus. */
export default () => ({
    all() {
        return [...this.$root.querySelectorAll('[data-row]')];
    },
    current() {
        return this.$root.querySelector('[data-row].active');
    },
    take(row) {
        this.all().forEach((one) => one.classList.toggle('active', one === row));
    },
    move(by) {
        const all = this.all();
        const at = all.indexOf(this.current());
        const row = all[at < 0 ? 0 : Math.max(0, Math.min(all.length - 1, at + by))];
        if (!row) return;
        this.take(row);
        row.scrollIntoView({ block: 'nearest' });
        const link = row.querySelector('a');
        link.focus({ preventScroll: true });
        if (link.hasAttribute('hx-get')) link.click();
    },
    press(event) {
        if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey || event.target.closest(fields)) return;
        const by = { ArrowDown: 1, j: 1, ArrowUp: -1, k: -1 }[event.key];
        if (by && this.all().length) {
            event.preventDefault();
            this.move(by);
        } else if (event.key === 'Enter' && !event.target.closest(controls)) {
            const row = this.current() ?? this.all()[0];
            if (!row) return;
            event.preventDefault();
            location.href = row.dataset.url;
        }
    },
    // The words stand in the panel beside the rows, which may be on its way still.
    record() {
        const account = this.current()?.dataset.account;
        const press = () => {
            if (this.current()?.dataset.account !== account) return;
            const panel = document.querySelector(`[data-focused="${account}"]`);
            if (panel) panel.querySelector('[data-record]')?.click();
            else document.addEventListener('htmx:afterSettle', press, { once: true });
        };
        press();
    },
    // The fragment that opened a row lies over the list where there is no room beside it.
    opened(event) {
        const panel = event.target;
        if (panel.id !== 'focus') return;
        const account = panel.querySelector('[data-focused]')?.dataset.focused;
        const row = this.all().find((one) => one.dataset.account === account);
        this.take(row);
        // Whoever is addressed now is whom the keys of the row are for.
        const changes = panel.querySelector('[aria-keyshortcuts=e]');
        const ofRow = row?.querySelector('[aria-keyshortcuts=e]');
        if (changes && ofRow) ofRow.href = changes.href;
        if (getComputedStyle(panel).position === 'fixed') bootstrap.Offcanvas.getOrCreateInstance(panel).show();
    },
});
