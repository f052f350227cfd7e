import Alpine from '../vendor/alpine/csp.js?c742ddcb62';
import focus from '../vendor/alpine/focus.js?05af5f818e';
import act from './act.js?33becae8e4';
import choose from './choose.js?2115070cc6';
import files from './files.js?5dc923ded9';
import group from './group.js?feb51f8741';
import keys from './keys.js?aa53e5e9f6';
import modal from './modal.js?ad6c5bf355';
import order from './order.js?3ad70b5190';
import picker from './picker.js?664f10dbb2';
import repeat from './repeat.js?52fc64902c';
import rows from './rows.js?6cbbbec325';
import sends from './sends.js?990c1ebd72';
import theme from './theme.js?77d2f74124';
import zone from './zone.js?3b73647705';
import './fragments.js?61495d023f';

Alpine.plugin(focus);
for (const [name, component] of Object.entries({
    act, choose, files, group, keys, modal, order, picker, repeat, rows, sends, theme, zone,
})) {
    Alpine.data(name, component);
}
Alpine.start();
