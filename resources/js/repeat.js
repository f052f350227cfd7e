/** Rows of a form that are added and removed; a new one is made from the template beside them. */
export default () => ({
    add() {
        const made = document.createElement('template');
        made.innerHTML = this.$refs.one.innerHTML.replaceAll('NEW', Date.now());
        const row = made.content.firstElementChild;
        this.$refs.rows.append(row);
        htmx.process(row);
        this.$focus.within(row).first();
    },
    remove(event) {
        const form = this.$root.closest('form');
        event.target.closest('[data-one]').remove();
        form.dispatchEvent(new Event('change', { bubbles: true }));
    },
});
