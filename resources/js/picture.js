// Fit against timing: size is access, a ring is drawn round what the pointer is near; dragging selects.
const canvas = document.getElementById('picture');
const SHOWN = 40;
const NEAR = 16;
const DRAGGED = 6;
const margin = { left: 50, right: 30, top: 32, bottom: 44 };
let accounts = [];
let brush = null;

const colour = (name) => getComputedStyle(canvas).getPropertyValue(`--bs-${name}`).trim();

function position(account) {
    const box = canvas.getBoundingClientRect();

    return [
        margin.left + account.fit * (box.width - margin.left - margin.right),
        box.height - margin.bottom - account.timing * (box.height - margin.bottom - margin.top),
    ];
}

function drawAxes(ctx, box) {
    ctx.strokeStyle = colour('border-color');
    ctx.fillStyle = colour('secondary-color');
    for (let part = 0; part <= 1; part += .25) {
        const [x] = position({ fit: part, timing: 0 });
        const [, y] = position({ fit: 0, timing: part });
        ctx.beginPath();
        ctx.moveTo(x, margin.top);
        ctx.lineTo(x, box.height - margin.bottom);
        ctx.moveTo(margin.left, y);
        ctx.lineTo(box.width - margin.right, y);
        ctx.stroke();
        ctx.textAlign = 'center';
        ctx.fillText(part.toFixed(2), x, box.height - 26);
        ctx.textAlign = 'right';
        ctx.fillText(part.toFixed(2), margin.left - 8, y + 4);
    }
    ctx.fillText('Fit', box.width - margin.right, box.height - 8);
    ctx.textAlign = 'left';
    ctx.fillText('Timing', 10, 20);
}

function dot(ctx, account, more) {
    const [x, y] = position(account);
    ctx.beginPath();
    ctx.arc(x, y, more + 6 * account.access, 0, 2 * Math.PI);

    return [x, y];
}

function drawNear(ctx, box, account) {
    ctx.strokeStyle = colour('body-color');
    const [x, y] = dot(ctx, account, 6);
    ctx.stroke();
    const left = x > box.width - 220;
    ctx.fillStyle = colour('body-color');
    ctx.font = '600 13px "Hanken Grotesk", sans-serif';
    ctx.textAlign = left ? 'right' : 'left';
    ctx.fillText(`${account.name}, ${Math.round(account.priority)}`, x + (left ? -14 : 14), y - 8);
}

function draw(near = null) {
    const box = canvas.getBoundingClientRect();
    const scale = devicePixelRatio || 1;
    canvas.width = box.width * scale;
    canvas.height = box.height * scale;
    const ctx = canvas.getContext('2d');
    ctx.scale(scale, scale);
    ctx.font = '12px "Hanken Grotesk", sans-serif';
    drawAxes(ctx, box);
    for (const account of accounts) {
        ctx.globalAlpha = .62;
        ctx.fillStyle = colour(account.chosen ? 'danger' : 'primary');
        dot(ctx, account, 2.5);
        ctx.fill();
        ctx.globalAlpha = 1;
    }
    if (near) drawNear(ctx, box, near);
    if (brush?.to) {
        ctx.strokeStyle = colour('body-color');
        ctx.setLineDash([4, 3]);
        ctx.strokeRect(...brush.from, brush.to[0] - brush.from[0], brush.to[1] - brush.from[1]);
    }
}

function point(event) {
    const box = canvas.getBoundingClientRect();

    return [event.clientX - box.left, event.clientY - box.top];
}

function nearest(event) {
    const [x, y] = point(event);
    const far = (account) => Math.hypot(position(account)[0] - x, position(account)[1] - y);
    const best = accounts.reduce((a, b) => (!a || far(b) < far(a) ? b : a), null);

    return best && far(best) < NEAR ? best : null;
}

function choose() {
    const [[a, b], [c, d]] = [brush.from, brush.to];
    for (const account of accounts) {
        const [x, y] = position(account);
        account.chosen = x >= Math.min(a, c) && x <= Math.max(a, c) && y >= Math.min(b, d) && y <= Math.max(b, d);
    }
}

function list() {
    const chosen = accounts.filter((account) => account.chosen);
    document.getElementById('chosen').replaceChildren(...chosen.slice(0, SHOWN).map((account) => {
        const item = document.createElement('li');
        const link = document.createElement('a');
        link.href = `/accounts/${account.id}`;
        link.textContent = `${account.name}, ${Math.round(account.priority)}`;
        item.append(link);

        return item;
    }));
    document.getElementById('chosen-count').textContent = chosen.length
        ? `${chosen.length} selected` : 'Drag over the picture to select accounts; click one to open it.';
}

canvas.addEventListener('pointerdown', (event) => { brush = { from: point(event) }; });
canvas.addEventListener('pointermove', (event) => {
    if (brush) brush.to = point(event);
    draw(brush ? null : nearest(event));
});
canvas.addEventListener('pointerup', (event) => {
    const near = nearest(event);
    if (brush?.to && Math.hypot(brush.to[0] - brush.from[0], brush.to[1] - brush.from[1]) > DRAGGED) {
        choose();
        list();
    } else if (near) {
        location.href = `/accounts/${near.id}`;
    }
    brush = null;
    draw();
});
addEventListener('resize', () => draw());
addEventListener('themed', () => draw());

const answer = await fetch(canvas.dataset.url, { headers: { Accept: 'application/json' } });
const found = await answer.json();
accounts = found.accounts;
document.getElementById('picture-of').textContent = found.of > accounts.length
    ? `The first ${accounts.length} of ${found.of} by this order.` : `All ${accounts.length}.`;
draw();
list();
