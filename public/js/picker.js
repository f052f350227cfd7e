import choose from './choose.js?897a2e5c6d';

/** Values that are picked from what is suggested while one types; each is a chip that is ticked off again. */
export default () => ({
    ...choose(),
    pick(event) {
        const one = event.target.closest('[data-value]');
        if (!one) return;
        const chip = this.$refs.chip.content.cloneNode(true);
        chip.querySelector('input').value = one.dataset.value;
        chip.querySelector('span').textContent = one.dataset.label;
        this.$refs.chips.append(chip);
        // What stands before it in a list that is being typed stays.
        this.$refs.typed.value = this.$refs.typed.value.replace(/[^,;\n]*$/, '');
        this.$refs.typed.required = false;
        this.$refs.found.replaceChildren();
        this.$refs.typed.focus();
        this.$refs.typed.dispatchEvent(new Event('change', { bubbles: true }));
    },
});
