import { feel, sortable } from './order.js?55867d858d';

/** The buying group: people move between parts by dragging, or with shift and an arrow. */
export default () => ({
    init() {
        this.$root.querySelector('[data-moved]')?.focus();
    },
    lists() {
        return [...this.$root.querySelectorAll('[data-part]')];
    },
    put(person, part) {
        const url = `${this.$root.dataset.url}/${person.dataset.contact}`;
        htmx.ajax('PATCH', url, { target: '#group', swap: 'outerHTML', values: { part } });
    },
    over(to) {
        this.lists().forEach((list) => list.closest('.part-row')?.classList.toggle('over', list === to));
    },
    async ready() {
        if (this.$root.dataset.ready) return;
        this.$root.dataset.ready = 'yes';
        const Sortable = await sortable();
        this.lists().forEach((list) => Sortable.create(list, {
            ...feel,
            group: { name: 'people', pull: 'clone', put: true },
            sort: false,
            draggable: '.group-person',
            filter: '.dropdown, a',
            delay: 120,
            delayOnTouchOnly: true,
            onMove: (event) => this.over(event.to),
            onEnd: (event) => {
                this.over(null);
                if (event.from !== event.to) this.put(event.item, event.to.dataset.part);
            },
        }));
    },
    press(event) {
        const person = event.target.closest('.group-person');
        if (event.target !== person || !event.shiftKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
        event.preventDefault();
        event.stopPropagation();
        const parts = this.lists().map((list) => list.dataset.part).filter((part) => part !== 'out');
        const at = parts.indexOf(person.dataset.in);
        const to = parts[at < 0 ? parts.length - 2 : at + (event.key === 'ArrowUp' ? -1 : 1)];
        if (to) this.put(person, to);
    },
});
