/**
 * A bench whose drawing follows what is typed: a short while after the last key the page is asked anew, and only what is shown is exchanged. A
 * point that is dragged, or moved with the arrow keys, types into its field.
 */
import { ask } from './ask.js';
import { place } from './place.js';

const PAUSE = 180;
let waiting = 0;

/** @param {Element | null} from */
const form = (from) => /** @type {HTMLFormElement | null} */ (from?.closest('form[data-module~="bench"]') ?? null);

/** @param {HTMLFormElement} bench @param {number} pause */
export function soon(bench, pause) {
  clearTimeout(waiting);
  waiting = setTimeout(() => ask(bench, bench.dataset.shown ?? ''), pause);
}

/** Types a value into the field of a point. @param {SVGElement} knob @param {number} value */
function type(knob, value) {
  const bench = form(knob), field = /** @type {HTMLInputElement | null} */ (bench?.elements.namedItem(knob.dataset.field ?? '') ?? null);
  if (!bench || !field) return;
  const least = Number(knob.dataset.least), most = Number(knob.dataset.most), step = Number(knob.dataset.step);
  const now = Number((Math.round(Math.min(most, Math.max(least, value)) / step) * step).toFixed(3));
  knob.dataset.now = String(now);
  // A length says its unit, whatever is shown.
  field.value = `${now}${knob.dataset.unit ?? ''}`;
  soon(bench, 0);
}

/** Types a place into the field of a point that goes anywhere. @param {SVGElement} knob @param {{x: number, y: number}} p */
function put(knob, p) {
  const bench = form(knob), field = /** @type {HTMLInputElement | null} */ (bench?.elements.namedItem(knob.dataset.field ?? '') ?? null);
  const box = /** @type {SVGSVGElement | null} */ (knob.closest('svg'))?.viewBox.baseVal;
  if (!bench || !field || !box) return;
  const x = Math.round(Math.min(box.width, Math.max(0, p.x))), y = Math.round(Math.min(box.height, Math.max(0, p.y)));
  field.value = `${x} ${y}`;
  knob.dataset.now = field.value;
  knob.setAttribute('transform', `translate(${x} ${y})`);
  soon(bench, PAUSE / 2);
}

/** Where such a point is. @param {SVGElement} knob */
function where(knob) {
  const [x, y] = (knob.dataset.now ?? knob.getAttribute('transform')?.replace(/[^\d. -]/g, '') ?? '0 0').trim().split(/\s+/).map(Number);
  return { x, y };
}

export function start() {
  /** @type {SVGElement | null} */
  let held = null;
  /** Value of a point at a place of its drawing: straight along x, or the angle about a hinge. @param {SVGElement} knob @param {PointerEvent} event */
  function at(knob, event) {
    const svg = /** @type {SVGSVGElement | null} */ (knob.closest('svg'));
    if (!svg) return 0;
    const p = place(svg, event);
    if (knob.dataset.hinge) {
      const [hx, hy, zero, turn] = knob.dataset.hinge.split(/\s+/).map(Number);
      return turn * Number(knob.dataset.per ?? 1) * ((Math.atan2(hy - p.y, p.x - hx) * 180) / Math.PI - zero);
    }
    const [from, per] = (knob.dataset.along ?? '0 1').split(' ').map(Number);
    return (p.x - from) / per;
  }
  document.addEventListener('input', (event) => {
    const bench = event.target instanceof Element ? form(event.target) : null;
    if (bench) soon(bench, PAUSE);
  });
  document.addEventListener('pointerdown', (event) => {
    held = event.target instanceof Element ? event.target.closest('[data-field]') : null;
    if (!held) return;
    event.preventDefault();
    held.focus();
    held.setPointerCapture(event.pointerId);
  });
  document.addEventListener('pointermove', (event) => {
    const svg = /** @type {SVGSVGElement | null} */ (held?.closest('svg') ?? null);
    if (held?.isConnected && svg && 'xy' in held.dataset) put(held, place(svg, event));
    else if (held?.isConnected) type(held, at(held, event));
    // The drawing was exchanged under the finger: the same point of the new one goes on.
    else if (held) held = document.querySelector(`[data-field="${CSS.escape(held.dataset.field ?? '')}"]`);
  });
  document.addEventListener('pointerup', () => { held = null; });
  document.addEventListener('keydown', (event) => {
    const knob = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-field]')) : null;
    const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (!knob || !way) return;
    event.preventDefault();
    if ('xy' in knob.dataset) {
      const step = Number(knob.dataset.step) * (event.shiftKey ? 5 : 1), p = where(knob), across = event.key === 'ArrowLeft' || event.key === 'ArrowRight';
      put(knob, { x: p.x + (across ? way * step : 0), y: p.y - (across ? 0 : way * step) });
      return;
    }
    // The drawing comes a moment later than the keys: where they moved it last counts.
    type(knob, Number(knob.dataset.now ?? knob.getAttribute('aria-valuenow')) + (way * Number(knob.dataset.step) * (event.shiftKey ? 5 : 1)));
  });
}
