/** Files that are too large are told before they travel; dropped ones go as if they were chosen. */
export default () => ({
    told: '',
    check() {
        const { input } = this.$refs;
        const most = Number(input.dataset.most);
        const large = [...input.files].find((file) => file.size > most * 1024 * 1024);
        this.told = large ? `${large.name} is larger than ${most} MB. Split it into parts.` : '';
    },
    drop(event) {
        if (event.dataTransfer.files.length === 0) {
            return;
        }
        this.$refs.input.files = event.dataTransfer.files;
        this.check();
        if (this.told === '') {
            this.$root.requestSubmit();
        }
    },
});
