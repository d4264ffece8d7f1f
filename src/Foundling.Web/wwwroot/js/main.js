// What every page does. What only some do is a module of its own, named by data-module where it is used, and fetched there.
import { shortcuts } from './shortcuts.js';
import { clock } from './clock.js';
import { keep, letGo, restoreKept } from './keep.js';
import { swap } from './swap.js';
import { fileSizes } from './files.js';
import { outbox } from './outbox.js';

/** @typedef {{start?: () => void, dress?: () => void}} Module what is set up once, and anew when the page's content was exchanged */

/** @type {Map<string, Promise<Module>>} */
const fetched = new Map();

/** @param {string} name @returns {Promise<Module>} */
function begin(name) {
  const module = fetched.get(name) ?? import(`./${name}.js`).then((/** @type {Module} */ got) => {
    got.start?.();
    return got;
  });
  fetched.set(name, module);
  return module;
}

/** Sets up what stands on the page; the page says when that is done. */
async function dress() {
  const page = document.documentElement;
  delete page.dataset.dressed;
  restoreKept();
  const used = /** @type {NodeListOf<HTMLElement | SVGElement>} */ (document.querySelectorAll('[data-module]'));
  const names = new Set([...used].flatMap((element) => (element.dataset.module ?? '').split(' ')));
  await Promise.all([...names].map((name) => begin(name).then((module) => module.dress?.()).catch(() => fetched.delete(name))));
  page.dataset.dressed = 'yes';
}

shortcuts();
clock();
keep();
letGo();
fileSizes();
outbox();
swap(dress);
dress();
