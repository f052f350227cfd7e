/** A field that sends its form: at every change, or by Enter where it takes a pasted list but is a line as a rule. */
export default () => ({
    send() {
        this.$root.form.requestSubmit();
    },
    enter(event) {
        if (event.shiftKey) return;
        event.preventDefault();
        this.send();
    },
});
