/**
 * Which of those found are ticked, over all pages of one search: kept for this tab, sent along with the form, and
 * forgotten when it was taken.
 */
export default () => ({
    chosen: new Set(),
    init() {
        const kept = JSON.parse(sessionStorage.getItem(this.key()) ?? '[]');
        const wasSent = sessionStorage.getItem('ticks-sent') === this.key();
        const isTaken = wasSent && !document.querySelector('.invalid-feedback');
        if (wasSent) sessionStorage.removeItem('ticks-sent');
        this.chosen = new Set(isTaken ? [] : kept);
        for (const box of this.boxes()) {
            if (this.chosen.has(box.value)) box.checked = true;
            if (box.checked) this.chosen.add(box.value);
        }
        this.keep();
        this.form()?.addEventListener('submit', () => this.send());
    },
    key() {
        return `ticks ${this.$root.dataset.search}`;
    },
    form() {
        return document.getElementById('keep-form');
    },
    boxes() {
        return [...this.$root.querySelectorAll('input[name="only[]"]')];
    },
    change(event) {
        if (event.target.name !== 'only[]') return;
        this.chosen[event.target.checked ? 'add' : 'delete'](event.target.value);
        this.keep();
    },
    clear() {
        this.chosen = new Set();
        this.boxes().forEach((box) => (box.checked = false));
        this.keep();
    },
    keep() {
        sessionStorage.setItem(this.key(), JSON.stringify([...this.chosen]));
    },
    // Those of other pages go along as fields of their own.
    send() {
        const here = new Set(this.boxes().map((box) => box.value));
        this.form().querySelectorAll('[data-elsewhere]').forEach((field) => field.remove());
        for (const value of this.chosen) {
            if (here.has(value)) continue;
            const field = Object.assign(document.createElement('input'), { type: 'hidden', name: 'only[]', value });
            field.dataset.elsewhere = '';
            this.form().append(field);
        }
        sessionStorage.setItem('ticks-sent', this.key());
    },
    get says() {
        return `${this.chosen.size} chosen`;
    },
    get any() {
        return this.chosen.size > 0;
    },
});
