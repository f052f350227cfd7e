/** What a rep does with words: copies them, writes, calls, opens a profile; each asks afterwards if it was done. */
export default () => ({
    told: '',
    words() {
        return this.$root.querySelector('[data-words]')?.value ?? this.$root.dataset.words;
    },
    async copy() {
        try {
            await navigator.clipboard.writeText(this.words());
            this.told = 'The words are copied.';
            this.ask('message');
        } catch {
            this.told = 'The browser did not let us copy; select the words and copy them by hand.';
        }
    },
    email() {
        this.ask('email');
    },
    call() {
        this.ask('call');
    },
    profile() {
        this.ask('connect');
    },
    ask(kind) {
        const dialog = document.getElementById(this.$root.dataset.asks);
        if (!dialog) return;
        dialog.querySelector('[name=kind]').value = kind;
        const words = dialog.querySelector('[name=words]');
        if (words) words.value = this.words();
        bootstrap.Modal.getOrCreateInstance(dialog).show();
    },
});
