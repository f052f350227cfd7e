// What lives in the browser only: keys, dialogs, the theme, and the picture of fit against timing.
const $ = (selector, root = document) => root.querySelector(selector);
const $$ = (selector, root = document) => [...root.querySelectorAll(selector)];

document.body.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-Token'] = $('meta[name=csrf-token]').content;
});

/* Dialogs */
function open(id) {
    const dialog = document.getElementById(id);
    if (!dialog || dialog.open) return;
    dialog.showModal();
    // The browser knows the watcher's time zone, the server does not.
    $$('[data-time-zone]', dialog).forEach((input) => { input.value = Intl.DateTimeFormat().resolvedOptions().timeZone; });
    ($('input:not([type=hidden]), textarea, select', dialog) ?? dialog).focus();
    if (id === 'go') htmx.trigger('#go-q', 'input');
}

document.addEventListener('click', (event) => {
    const opener = event.target.closest('[data-open]');
    if (opener) open(opener.dataset.open);
    if (event.target.closest('[data-close]')) event.target.closest('dialog').close();
    if (event.target.closest('[data-theme-toggle]')) {
        const theme = document.documentElement.dataset.theme === 'dark' ? 'light' : 'dark';
        document.documentElement.dataset.theme = theme;
        localStorage.setItem('luftig-theme', theme);
        draw();
    }
    const menu = $('details.menu[open]');
    if (menu && !menu.contains(event.target)) menu.open = false;
});

/* Rows that one moves through */
const rows = () => $$('[data-row]');
const current = () => $('[data-row].focus') ?? rows()[0];

function focusRow(row) {
    if (!row) return;
    rows().forEach((one) => one.classList.toggle('focus', one === row));
    row.scrollIntoView({ block: 'nearest' });
    const link = $('a', row);
    link.focus({ preventScroll: true });
    if (link.hasAttribute('hx-get')) link.click();
}

function move(by) {
    const all = rows();
    focusRow(all[Math.max(0, Math.min(all.length - 1, all.indexOf(current()) + by))]);
}

document.body.addEventListener('htmx:afterSwap', (event) => {
    if (event.target.id !== 'focus') return;
    const account = $('[data-focused]')?.dataset.focused;
    rows().forEach((row) => row.classList.toggle('focus', row.dataset.account === account));
    history.replaceState(null, '', `/?focus=${account}`);
});

/* The buying group: people move between parts by dragging, or with shift and an arrow */
const parts = ['signs_off', 'shapes', 'champion', 'user', 'next_door', 'blocker'];

function movePerson(person, part) {
    htmx.ajax('PATCH', `${$('#group').dataset.url}/${person.dataset.contact}`, { target: '#group', swap: 'outerHTML', values: { part } });
}

function makeSortable() {
    $$('.part-people').forEach((list) => Sortable.create(list, {
        group: { name: 'people', pull: 'clone', put: true }, sort: false, draggable: '.group-person', filter: 'details, a', preventOnFilter: false, forceFallback: true, fallbackTolerance: 4, delay: 120, delayOnTouchOnly: true, animation: 120,
        onMove: (event) => { $$('.part-row.over').forEach((row) => row.classList.remove('over')); event.to.closest('.part-row')?.classList.add('over'); },
        onEnd: (event) => {
            $$('.part-row.over').forEach((row) => row.classList.remove('over'));
            if (event.from !== event.to) movePerson(event.item, event.to.dataset.part);
        },
    }));
}
if ($('#group')) makeSortable();
document.addEventListener('keydown', (event) => {
    const person = event.target.closest?.('.group-person');
    if (!person || event.target !== person || !event.shiftKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    const at = parts.indexOf(person.dataset.in);
    const to = at < 0 ? parts.length - 2 : at + (event.key === 'ArrowUp' ? -1 : 1);
    if (parts[to]) movePerson(person, parts[to]);
});
document.body.addEventListener('htmx:afterSwap', (event) => {
    if (event.target.id !== 'group' && event.detail.elt?.id !== 'group') return;
    makeSortable();
    $('.group-person[data-moved]')?.focus();
});

/* Columns to take out, in an order of one's own */
const columns = $('[data-columns]');
if (columns) {
    addEventListener('load', () => Sortable.create(columns, { filter: 'button', preventOnFilter: false, forceFallback: true, fallbackTolerance: 4, animation: 120 }));
    columns.addEventListener('click', (event) => {
        const button = event.target.closest('[data-shift]');
        if (!button) return;
        const column = button.closest('li');
        if (button.dataset.shift < 0) column.previousElementSibling?.before(column);
        else column.nextElementSibling?.after(column);
        button.focus();
    });
}

/* The staircase: steps are dragged into another order, and the address follows */
const staircase = $('[data-staircase]');
if (staircase) {
    addEventListener('load', () => Sortable.create(staircase, {
        draggable: '[data-step]', filter: 'details, a', preventOnFilter: false, forceFallback: true, fallbackTolerance: 4, animation: 120,
        onEnd: (event) => {
            if (event.oldIndex === event.newIndex) return;
            const address = new URL('/finder', location.origin);
            address.searchParams.set('on', new URLSearchParams(location.search).get('on') ?? 'contacts');
            $$('[data-step]', staircase).forEach((step, i) => Object.entries(JSON.parse(step.dataset.step)).forEach(([key, value]) => address.searchParams.set(`c[${i}][${key}]`, value)));
            location.href = address;
        },
    }));
    ($('#adding [data-first]') ?? $('#adding :is(input:not([type=hidden]), select, textarea)'))?.focus();
}

/* The list of what was found by typing */
function moveFound(by) {
    const links = $$('#go-found a');
    const at = links.findIndex((link) => link.classList.contains('at'));
    links.forEach((link) => link.classList.remove('at'));
    links[Math.max(0, Math.min(links.length - 1, at + by))]?.classList.add('at');
}

$('#go-q')?.addEventListener('keydown', (event) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
        event.preventDefault();
        moveFound(event.key === 'ArrowDown' ? 1 : -1);
    }
    if (event.key === 'Enter') {
        event.preventDefault();
        ($('#go-found a.at') ?? $('#go-found a'))?.click();
    }
});

/* Keys */
const screens = { t: '/', a: '/accounts', c: '/contacts', f: '/finder', l: '/lists', n: '/network', r: '/reasons', i: '/intake', k: '/keep-out', p: '/pace', u: '/rules', e: '/team' };
let goes = false;

document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const typing = event.target.closest('input:not([type=checkbox], [type=radio]), textarea, select');
    if (event.key === 'Escape') {
        if ($('dialog[open]')) return;
        if (typing) return typing.blur();
        const back = $('[data-back]');
        if (back) location.href = back.href;
        return;
    }
    // What takes a pasted list, but is a line as a rule.
    if (event.key === 'Enter' && !event.shiftKey && typing?.matches('[data-sends]')) {
        event.preventDefault();
        typing.form.requestSubmit();
        return;
    }
    if (typing || $('dialog[open]')) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (goes) {
        goes = false;
        if (screens[key]) {
            event.preventDefault();
            location.href = screens[key];
        }
        return;
    }
    const step = { ArrowLeft: '[rel=prev][data-step]', ArrowRight: '[rel=next][data-step]' }[key];
    const act = {
        '/': () => open('go'), '?': () => open('keys'), g: () => { goes = true; setTimeout(() => { goes = false; }, 1500); },
        r: () => { const to = $('[data-reason-link]')?.href ?? current()?.dataset.reason; if (to) location.href = to; },
        l: () => open($('dialog[data-key=l]')?.id), x: () => open($('dialog[data-key=x]')?.id), n: () => $('[data-note]')?.focus(),
        p: () => $('[data-keep]')?.click(), d: () => $('[data-drop]')?.click(),
    }[key];
    if (step && $(step)) location.href = $(step).href;
    else if ((key === 'ArrowDown' || key === 'j') && rows().length) { event.preventDefault(); move($('[data-row].focus') ? 1 : 0); }
    else if ((key === 'ArrowUp' || key === 'k') && rows().length) { event.preventDefault(); move(-1); }
    else if (key === 'Enter' && event.target.closest('[data-row], body') && !event.target.closest('button, summary, form input, form select, a:not([data-row] a)') && current()) { event.preventDefault(); location.href = current().dataset.url; }
    else if (act) { event.preventDefault(); act(); }
});

/* Files that are too large are told before they travel */
$('input[type=file][data-most]')?.addEventListener('change', (event) => {
    const [file] = event.target.files;
    const most = Number(event.target.dataset.most);
    const told = $('#file-told');
    const large = file && file.size > most * 1024 * 1024;
    told.textContent = large ? `${file.name} is larger than ${most} MB. Split it into parts.` : '';
    $('#file-send').disabled = Boolean(large);
});

/* Rows of a form that are added and taken away */
document.addEventListener('click', (event) => {
    const add = event.target.closest('[data-add]');
    if (add) {
        const body = document.getElementById(add.dataset.add);
        const numbered = document.createElement('template');
        numbered.innerHTML = document.getElementById(`${add.dataset.add}-new`).innerHTML.replaceAll('NEW', Date.now());
        const row = numbered.content.firstElementChild;
        body.append(row);
        htmx.process(row);
        $('input', row).focus();
    }
    if (event.target.closest('[data-remove]')) {
        const form = event.target.closest('form');
        event.target.closest('[data-removable]').remove();
        form.dispatchEvent(new Event('change', { bubbles: true }));
    }
});

document.addEventListener('change', (event) => {
    if (event.target.matches('[data-submits]')) event.target.form.requestSubmit();
});

/* Fit against timing: size is access, a ring is drawn round what the pointer is near; dragging selects */
const canvas = $('canvas.picture');
let shown = [];
let brush = null;

function colour(name) {
    return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}

function position(account) {
    const box = canvas.getBoundingClientRect();
    return [50 + account.fit * (box.width - 80), box.height - 44 - account.timing * (box.height - 76)];
}

function draw(near = null) {
    if (!canvas) return;
    const box = canvas.getBoundingClientRect();
    const scale = devicePixelRatio || 1;
    canvas.width = box.width * scale;
    canvas.height = box.height * scale;
    const ctx = canvas.getContext('2d');
    ctx.scale(scale, scale);
    ctx.font = '12px "Hanken Grotesk", sans-serif';
    ctx.strokeStyle = colour('hairline');
    ctx.fillStyle = colour('muted');
    for (let part = 0; part <= 1; part += .25) {
        const [x] = position({ fit: part, timing: 0 });
        const [, y] = position({ fit: 0, timing: part });
        ctx.beginPath();
        ctx.moveTo(x, 32); ctx.lineTo(x, box.height - 44);
        ctx.moveTo(50, y); ctx.lineTo(box.width - 30, y);
        ctx.stroke();
        ctx.textAlign = 'center';
        ctx.fillText(part.toFixed(2), x, box.height - 26);
        ctx.textAlign = 'right';
        ctx.fillText(part.toFixed(2), 42, y + 4);
    }
    ctx.textAlign = 'right';
    ctx.fillText('Fit', box.width - 30, box.height - 8);
    ctx.textAlign = 'left';
    ctx.fillText('Timing', 10, 20);
    for (const account of shown) {
        const [x, y] = position(account);
        ctx.globalAlpha = .62;
        ctx.fillStyle = colour(account.chosen ? 'rowan' : 'pine');
        ctx.beginPath();
        ctx.arc(x, y, 2.5 + 6 * account.access, 0, 2 * Math.PI);
        ctx.fill();
        ctx.globalAlpha = 1;
    }
    if (near) {
        const [x, y] = position(near);
        ctx.strokeStyle = colour('ink');
        ctx.beginPath();
        ctx.arc(x, y, 6 + 6 * near.access, 0, 2 * Math.PI);
        ctx.stroke();
        ctx.fillStyle = colour('ink');
        ctx.font = '600 13px "Hanken Grotesk", sans-serif';
        ctx.textAlign = x > box.width - 220 ? 'right' : 'left';
        ctx.fillText(`${near.name}, ${Math.round(near.priority)}`, x + (x > box.width - 220 ? -14 : 14), y - 8);
    }
    if (brush?.to) {
        ctx.strokeStyle = colour('ink');
        ctx.setLineDash([4, 3]);
        ctx.strokeRect(brush.from[0], brush.from[1], brush.to[0] - brush.from[0], brush.to[1] - brush.from[1]);
    }
}

function near(event) {
    const box = canvas.getBoundingClientRect();
    const distance = (account) => { const [x, y] = position(account); return Math.hypot(x - event.clientX + box.left, y - event.clientY + box.top); };
    const best = shown.reduce((a, b) => (!a || distance(b) < distance(a) ? b : a), null);
    return best && distance(best) < 16 ? best : null;
}

function point(event) {
    const box = canvas.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
}

function listChosen() {
    const chosen = shown.filter((account) => account.chosen);
    const list = $('#chosen');
    list.replaceChildren(...chosen.slice(0, 40).map((account) => {
        const item = document.createElement('li');
        const link = document.createElement('a');
        link.href = `/accounts/${account.id}`;
        link.textContent = `${account.name}, ${Math.round(account.priority)}`;
        item.append(link);
        return item;
    }));
    $('#chosen-count').textContent = chosen.length ? `${chosen.length} selected` : 'Drag over the picture to select accounts; click one to open it.';
}

if (canvas) {
    fetch(canvas.dataset.url, { headers: { Accept: 'application/json' } }).then((answer) => answer.json()).then((data) => {
        shown = data.accounts;
        $('#picture-of').textContent = data.of > shown.length ? `The first ${shown.length} of ${data.of} by this order.` : `All ${shown.length}.`;
        draw();
        listChosen();
    });
    addEventListener('resize', () => draw());
    canvas.addEventListener('pointerdown', (event) => { brush = { from: point(event) }; });
    canvas.addEventListener('pointermove', (event) => {
        if (brush) brush.to = point(event);
        draw(brush ? null : near(event));
    });
    canvas.addEventListener('pointerup', (event) => {
        const moved = brush?.to && Math.hypot(brush.to[0] - brush.from[0], brush.to[1] - brush.from[1]) > 6;
        if (moved) {
            const [[a, b], [c, d]] = [brush.from, brush.to];
            for (const account of shown) {
                const [x, y] = position(account);
                account.chosen = x >= Math.min(a, c) && x <= Math.max(a, c) && y >= Math.min(b, d) && y <= Math.max(b, d);
            }
            listChosen();
        } else if (near(event)) {
            location.href = `/accounts/${near(event).id}`;
        }
        brush = null;
        draw();
    });
}
