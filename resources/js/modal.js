/** A dialog: its first field has the focus, and it opens by itself where its form came back with messages. */
export default () => ({
    init() {
        // A part of the page that lies over others would keep its dialogs under their backdrop.
        this.$root.addEventListener('show.bs.modal', () => {
            const named = document.querySelectorAll(`body > [id="${this.$root.id}"]`);
            named.forEach((old) => old === this.$root || old.remove());
            if (this.$root.closest('.sticky-lg-top, .offcanvas-lg')) document.body.append(this.$root);
        });
        this.$root.addEventListener('shown.bs.modal', () => {
            const fields = '[autofocus], .modal-body :is(input:not([type=hidden]), textarea, select)';
            const field = this.$root.querySelector('[data-first]') ?? this.$root.querySelector(fields);
            (field ?? this.$root.querySelector('.btn-primary'))?.focus();
        });
        if ('opens' in this.$root.dataset) {
            addEventListener('load', () => bootstrap.Modal.getOrCreateInstance(this.$root).show());
        }
    },
});
