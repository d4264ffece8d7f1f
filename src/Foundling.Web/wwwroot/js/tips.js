/** Marks on a photograph: tapped, moved with the keys, taken away. They stand in their field, x and y, parted by semicolons. */
import { soon } from './bench.js';
import { place } from './place.js';

/** @param {Element} from */
function parts(from) {
  const bench = /** @type {HTMLFormElement | null} */ (from.closest('form[data-module~="tips"]'));
  const svg = /** @type {SVGSVGElement | null} */ (bench?.querySelector('svg[data-tips]') ?? null);
  const field = /** @type {HTMLInputElement | null} */ (bench?.elements.namedItem('tips') ?? null);
  return bench && svg && field ? { bench, svg, field } : null;
}

/** @param {NonNullable<ReturnType<typeof parts>>} of */
const read = (of) => of.field.value.split(';').filter(Boolean).map((p) => p.trim().split(' ').map(Number));

/** @param {NonNullable<ReturnType<typeof parts>>} of @param {number[][]} marks */
function write(of, marks) {
  of.field.value = marks.map((m) => m.map((v) => Math.round(v)).join(' ')).join(';');
  soon(of.bench, 0);
}

export function start() {
  document.addEventListener('click', (event) => {
    const target = event.target instanceof Element ? event.target : null, of = target && parts(target);
    if (!target || !of) return;
    const mark = /** @type {SVGElement | null} */ (target.closest('[data-tip]'));
    if (mark) write(of, read(of).filter((_, i) => i !== Number(mark.dataset.tip)));
    else if (target.closest('[data-tap]')) {
      const p = place(of.svg, /** @type {MouseEvent} */ (event));
      write(of, [...read(of), [p.x, p.y]]);
    } else if (target.closest('[data-add-tip]')) {
      const box = of.svg.viewBox.baseVal, marks = read(of), [a, b] = marks.slice(-2), last = b ?? a;
      // The next one stands as far on as the last two are apart.
      write(of, [...marks, last ? [last[0] + (b ? b[0] - a[0] : box.width / 20), last[1]] : [box.width / 2, box.height / 3]]);
    }
  });
  document.addEventListener('keydown', (event) => {
    const mark = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-tip]')) : null, of = mark && parts(mark);
    if (!mark || !of) return;
    const marks = read(of), it = marks[Number(mark.dataset.tip)], step = of.svg.viewBox.baseVal.width / 400;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!it || (!way && event.key !== 'Delete')) return;
    event.preventDefault();
    if (way) marks[Number(mark.dataset.tip)] = [it[0] + way[0] * step, it[1] + way[1] * step];
    else marks.splice(Number(mark.dataset.tip), 1);
    write(of, marks);
  });
}
