/** A password that is typed, to be looked at by whoever types it. */
export default () => ({
    isSeen: false,
    init() {
        this.$refs.turn.hidden = false;
    },
    turn() {
        this.isSeen = !this.isSeen;
    },
    get type() {
        return this.isSeen ? 'text' : 'password';
    },
    get word() {
        return this.isSeen ? 'Hide the password' : 'Show the password';
    },
});
