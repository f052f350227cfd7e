export const feel = { forceFallback: true, fallbackTolerance: 4, animation: 120, preventOnFilter: false };

/** The library is heavy, so it comes when a pointer does. */
export async function sortable() {
    await import('../vendor/sortable/Sortable.min.js');

    return window.Sortable;
}

/** Things in an order of one's own: dragged, or moved by the buttons beside them. */
export default () => ({
    async ready() {
        if (this.$root.dataset.ready) return;
        this.$root.dataset.ready = 'yes';
        const root = this.$root;
        (await sortable()).create(root, {
            ...feel, draggable: '[data-one]', filter: 'button, input, .dropdown', onEnd: (event) => this.moved(event),
        });
    },
    // Where the order stands in the address, each thing knows what it adds to it.
    moved(event) {
        if (event.oldIndex === event.newIndex || !this.$root.dataset.address) return;
        const address = new URL(this.$root.dataset.address, location.origin);
        this.$root.querySelectorAll('[data-one]').forEach((one, i) => {
            for (const [key, value] of Object.entries(JSON.parse(one.dataset.one))) {
                address.searchParams.set(`c[${i}][${key}]`, value);
            }
        });
        location.href = address;
    },
    earlier(event) {
        const one = event.target.closest('[data-one]');
        one.previousElementSibling?.before(one);
        event.target.focus();
    },
    later(event) {
        const one = event.target.closest('[data-one]');
        one.nextElementSibling?.after(one);
        event.target.focus();
    },
});
