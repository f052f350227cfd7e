/** A field for the time zone, which the browser knows and the server does not. */
export default () => ({
    init() {
        this.$root.value = Intl.DateTimeFormat().resolvedOptions().timeZone;
    },
});
