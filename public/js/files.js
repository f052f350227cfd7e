/** Files that are too large are told before they travel. */
export default () => ({
    told: '',
    check(event) {
        const most = Number(event.target.dataset.most);
        const large = [...event.target.files].find((file) => file.size > most * 1024 * 1024);
        this.told = large ? `${large.name} is larger than ${most} MB. Split it into parts.` : '';
    },
});
