import Alpine from '../vendor/alpine/csp.js';
import act from './act.js';
import choose from './choose.js';
import files from './files.js';
import group from './group.js';
import keys from './keys.js';
import modal from './modal.js';
import order from './order.js';
import picker from './picker.js';
import repeat from './repeat.js';
import rows from './rows.js';
import seen from './seen.js';
import sends from './sends.js';
import theme from './theme.js';
import ticks from './ticks.js';
import words from './words.js';
import zone from './zone.js';
import './fragments.js';

// It is heavy, so it comes where rows are added to a form and the focus moves into them.
if (document.querySelector('[x-data=repeat]')) {
    const { default: focus } = await import('../vendor/alpine/focus.js');
    Alpine.plugin(focus);
}
for (const [name, component] of Object.entries({
    act, choose, files, group, keys, modal, order, picker, repeat, rows, seen, sends, theme,
    ticks, words, zone,
})) {
    Alpine.data(name, component);
}
Alpine.start();
