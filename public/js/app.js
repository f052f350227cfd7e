import Alpine from '../vendor/alpine/csp.js?c742ddcb62';
import act from './act.js?b8b180e9fc';
import choose from './choose.js?897a2e5c6d';
import files from './files.js?2df0a8d872';
import group from './group.js?5c561fdf14';
import keys from './keys.js?605cc82d42';
import modal from './modal.js?44da6c4e3a';
import order from './order.js?55867d858d';
import picker from './picker.js?503b552db1';
import repeat from './repeat.js?52fc64902c';
import rows from './rows.js?8fbf819b30';
import seen from './seen.js?6bd9cdb738';
import sends from './sends.js?990c1ebd72';
import theme from './theme.js?77d2f74124';
import ticks from './ticks.js?d61b561e94';
import words from './words.js?9c35db3ea8';
import zone from './zone.js?3b73647705';
import './fragments.js?c4b3147256';

// It is heavy, so it comes where rows are added to a form and the focus moves into them.
if (document.querySelector('[x-data=repeat]')) {
    const { default: focus } = await import('../vendor/alpine/focus.js?05af5f818e');
    Alpine.plugin(focus);
}
for (const [name, component] of Object.entries({
    act, choose, files, group, keys, modal, order, picker, repeat, rows, seen, sends, theme,
    ticks, words, zone,
})) {
    Alpine.data(name, component);
}
Alpine.start();
