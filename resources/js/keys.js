const WAIT = 1500;

/**
 * Keys of every screen. What a key does stands on the page: the first link, button or field with that as its shortcut
 * is pressed or gets the focus; G and a letter follow the link that has them.
 */
export default () => ({
    goes: false,
    press(event) {
        if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
        const typing = event.target.closest('input:not([type=checkbox], [type=radio]), textarea, select');
        if (document.querySelector('.modal.show, .offcanvas.show') && event.key !== 'Tab') return;
        if (event.key === 'Escape') {
            if (typing) typing.blur();
            else if (!document.querySelector('.dropdown-menu.show')) document.querySelector('[data-back]')?.click();
            return;
        }
        if (typing || document.querySelector('.dropdown-menu.show')) return;
        const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
        if (this.goes) {
            this.goes = false;
            this.follow(event, document.querySelector(`[data-go="${CSS.escape(key)}"]`));
        } else if (key === 'g') {
            this.goes = true;
            setTimeout(() => { this.goes = false; }, WAIT);
        } else {
            this.follow(event, this.named(key));
        }
    },
    named(key) {
        const named = [...document.querySelectorAll(`[aria-keyshortcuts="${CSS.escape(key)}"]`)];
        const row = document.querySelector('[data-row].active');

        return named.find((one) => row?.contains(one)) ?? named.find((one) => !one.closest('[data-row]')) ?? named[0];
    },
    follow(event, to) {
        if (!to) return;
        event.preventDefault();
        if (to.matches('input, textarea')) to.focus();
        else to.click();
    },
});
