/** Pits on the drawn back of an iron: tapped, dragged, or moved with the keys. They stand in their field, one on a line. */
import { soon } from './bench.js';
import { place } from './place.js';

// How far a key moves a pit and how much deeper it makes it, mm.
const ALONG = 0.5, DEEPER = 0.01;

/** The drawing, its bench and the field of the pits. @param {Element} from */
function parts(from) {
  const bench = /** @type {HTMLFormElement | null} */ (from.closest('form[data-module~="pits"]'));
  const svg = /** @type {SVGSVGElement | null} */ (bench?.querySelector('svg[data-times]') ?? null);
  const field = /** @type {HTMLTextAreaElement | null} */ (bench?.elements.namedItem('pits') ?? null);
  return bench && svg && field ? { bench, svg, field, mm: Number(svg.dataset.mm), wide: Number(svg.dataset.wide), times: Number(svg.dataset.times) } : null;
}

/** The pits as they are typed, in mm. @param {NonNullable<ReturnType<typeof parts>>} of */
const read = (of) => of.field.value.split(/[\n;]/).map((l) => l.trim()).filter(Boolean).map((l) => l.split(/\s+/).map((v) => Number(v) * of.mm));

/** @param {NonNullable<ReturnType<typeof parts>>} of @param {number[][]} pits */
function write(of, pits) {
  of.field.value = pits.map((p) => p.map((v) => String(Number((v / of.mm).toFixed(4)))).join(' ')).join('\n');
  soon(of.bench, 0);
}

/** Moves a pit, mm; it stays on the iron. @param {number[]} pit @param {number} along @param {number} across @param {number} wide */
function move(pit, along, across, wide) {
  const [deep, near, far, from, to] = pit, by = Math.max(-near, along);
  if (from === undefined || to === undefined) return [deep, near + by, far + by];
  const side = Math.min(Math.max(across, -from), wide - to);
  return [deep, near + by, far + by, from + side, to + side];
}

/** @param {NonNullable<ReturnType<typeof parts>>} of @param {number} x @param {number} y mm from the edge and the left side */
function add(of, x, y) {
  // As deep and as large as a pit is taken for that nobody measured, until it is.
  const deep = Number(of.svg.dataset.deep), long = Number(of.svg.dataset.long), half = Math.min(long, of.wide) / 2;
  const at = Math.max(half, x), middle = Math.min(Math.max(y, half), of.wide - half);
  write(of, [...read(of), [deep, at - half, at + half, middle - half, middle + half]]);
}

/** What a key, or its button, makes of a pit. @param {number[][]} pits @param {number} index @param {string} key @param {number} wide */
function change(pits, index, key, wide) {
  const it = pits[index], way = { ArrowLeft: [-ALONG, 0], ArrowRight: [ALONG, 0], ArrowUp: [0, -ALONG], ArrowDown: [0, ALONG] }[key];
  if (!it) return false;
  if (way) pits[index] = move(it, way[0], way[1], wide);
  else if (key === '+' || key === '=') it[0] += DEEPER;
  else if (key === '-') it[0] = Math.max(DEEPER, it[0] - DEEPER);
  else if (key === 'Delete') pits.splice(index, 1);
  else return false;
  return true;
}

export function start() {
  /** @type {{index: number, x: number, y: number} | null} */
  let held = null;
  // The pit that was chosen last; buttons change it where there are no keys.
  let chosen = 0;
  document.addEventListener('focusin', (event) => {
    const pit = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-pit]')) : null;
    if (pit) chosen = Number(pit.dataset.pit);
  });
  document.addEventListener('click', (event) => {
    const target = event.target instanceof Element ? event.target : null, of = target && parts(target);
    if (!target || !of) return;
    if (target.closest('[data-add-pit]')) add(of, 0, of.wide / 2);
    const key = /** @type {HTMLElement | null} */ (target.closest('[data-pit-key]'))?.dataset.pitKey;
    if (key) {
      const pits = read(of), index = Math.min(chosen, pits.length - 1);
      /** @type {SVGElement | null} */ (of.svg.querySelector(`[data-pit="${index}"]`))?.focus();
      if (change(pits, index, key, of.wide)) write(of, pits);
    }
    if (target.closest('[data-blank]')) {
      const p = place(of.svg, /** @type {MouseEvent} */ (event));
      add(of, p.x / of.times, p.y / of.times);
    }
  });
  document.addEventListener('pointerdown', (event) => {
    const pit = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-pit]')) : null, of = pit && parts(pit);
    if (!pit || !of) return;
    event.preventDefault();
    pit.focus();
    const p = place(of.svg, event);
    held = { index: Number(pit.dataset.pit), x: p.x, y: p.y };
  });
  document.addEventListener('pointermove', (event) => {
    const svg = /** @type {SVGSVGElement | null} */ (held && document.querySelector('svg[data-times]')), of = svg && parts(svg);
    if (!held || !of) return;
    const p = place(of.svg, event), pits = read(of), pit = pits[held.index];
    const steps = (/** @type {number} */ d) => Math.round(d / of.times / ALONG) * ALONG, along = steps(p.x - held.x), across = steps(p.y - held.y);
    if (!pit || (along === 0 && across === 0)) return;
    pits[held.index] = move(pit, along, across, of.wide);
    held = { index: held.index, x: held.x + along * of.times, y: held.y + across * of.times };
    write(of, pits);
  });
  document.addEventListener('pointerup', () => { held = null; });
  document.addEventListener('keydown', (event) => {
    const pit = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-pit]')) : null, of = pit && parts(pit);
    if (!pit || !of) return;
    const pits = read(of);
    if (!change(pits, Number(pit.dataset.pit), event.key, of.wide)) return;
    event.preventDefault();
    write(of, pits);
  });
}
