/** Words that are being written: they greet whom they are for, and say how long they are and may be. */
export default () => ({
    length: '',
    init() {
        this.count();
    },
    field() {
        return this.$root.querySelector('[name=words]');
    },
    // Only the greeting is changed, since the rest may be somebody's own by now.
    greet(event) {
        const name = JSON.parse(this.$root.dataset.names)[event.target.value] ?? '';
        const field = this.field();
        field.value = field.value.replace(
            /^\s*(Hello|Hej)( [^,\n]{1,60})?,/u, (all, hello) => (name === '' ? `${hello},` : `${hello} ${name},`),
        );
        this.count();
    },
    count() {
        const limit = JSON.parse(this.$root.dataset.limits)[this.$root.querySelector('[name=channel]').value];
        const text = this.field().value;
        if (!limit) {
            this.length = '';
            return;
        }
        const [most, unit] = limit;
        const words = (text.match(/\S*[\p{L}\p{N}]\S*/gu) ?? []).length;
        this.length = `${unit === 'words' ? words : [...text.trim()].length} of at most ${most} ${unit}`;
    },
});
