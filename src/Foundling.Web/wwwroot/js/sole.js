/**
 * Sections through a sole map: two lines on it are dragged, or moved with the arrow keys, and the heights along them are drawn beneath, those of
 * the survey before in grey.
 */
import { place } from './place.js';

const WIDTH = 760, SMALL = 200, MIDDLE = 70, HIGH = 60, STEP = 0.02, BIG = 0.1;

/** @param {HTMLElement} box @param {string | undefined} text */
const grid = (box, text) => text ? { z: text.split(',').map(Number), nx: Number(box.dataset.along), ny: Number(box.dataset.across) } : null;

/** @param {{z: number[], nx: number, ny: number}} g @param {number} u @param {number} v */
function height(g, u, v) {
  const x = Math.min(g.nx - 1.000001, Math.max(0, u * (g.nx - 1))), y = Math.min(g.ny - 1.000001, Math.max(0, v * (g.ny - 1)));
  const i = Math.floor(x), j = Math.floor(y), s = x - i, t = y - j;
  /** @param {number} a @param {number} b */
  const at = (a, b) => g.z[a * g.ny + b];
  return (at(i, j) * (1 - s) + at(i + 1, j) * s) * (1 - t) + (at(i, j + 1) * (1 - s) + at(i + 1, j + 1) * s) * t;
}

/** @param {HTMLElement} box */
function draw(box) {
  const span = Number(box.dataset.span) || 1;
  /** @param {string} cut */
  const at = (cut) => Number(/** @type {HTMLElement | null} */ (box.querySelector(`[data-cut="${cut}"]`))?.dataset.at ?? 0.5);
  const now = grid(box, box.dataset.heights), was = grid(box, box.dataset.before), v = at('along'), u = at('across');
  /** @param {string} name @param {ReturnType<typeof grid>} g @param {boolean} along */
  const line = (name, g, along) => {
    const path = document.querySelector(`[data-section="${name}"]`), wide = along ? WIDTH : SMALL;
    if (!path || !g) return;
    const points = Array.from({ length: 61 }, (_, k) => k / 60).map((s) => [s * wide, MIDDLE - (height(g, along ? s : u, along ? v : s) / span) * HIGH]);
    path.setAttribute('d', points.map(([x, y], k) => `${k ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''));
  };
  line('along', now, true);
  line('before', was, true);
  line('across', now, false);
  line('beforeacross', was, false);
}

/** @param {SVGElement} cut @param {number} to */
function move(cut, to) {
  const box = /** @type {HTMLElement | null} */ (cut.closest('[data-heights]')), svg = cut.closest('svg');
  if (!box || !svg) return;
  const share = Math.min(1, Math.max(0, to)), along = cut.dataset.cut === 'along', high = Number(svg.querySelector('rect.plate')?.getAttribute('height'));
  cut.dataset.at = String(share);
  for (const path of cut.querySelectorAll('path')) path.setAttribute('d', along ? `M0 ${share * high}H${WIDTH}` : `M${share * WIDTH} 0V${high}`);
  cut.setAttribute('aria-valuenow', (share * Number(along ? box.dataset.width : box.dataset.length)).toFixed(0));
  draw(box);
}

export function start() {
  /** @type {SVGElement | null} */
  let held = null;
  document.addEventListener('pointerdown', (event) => {
    held = event.target instanceof Element ? event.target.closest('[data-cut]') : null;
    if (!held) return;
    event.preventDefault();
    held.focus();
    held.setPointerCapture(event.pointerId);
  });
  document.addEventListener('pointermove', (event) => {
    const svg = /** @type {SVGSVGElement | null} */ (held?.closest('svg') ?? null);
    if (!held || !svg) return;
    const point = place(svg, event);
    move(held, held.dataset.cut === 'along' ? point.y / Number(svg.querySelector('rect.plate')?.getAttribute('height')) : point.x / WIDTH);
  });
  document.addEventListener('pointerup', () => { held = null; });
  document.addEventListener('keydown', (event) => {
    const cut = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-cut]')) : null;
    const way = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (!cut || !way) return;
    event.preventDefault();
    move(cut, Number(cut.dataset.at) + (way * (event.shiftKey ? BIG : STEP)));
  });
}

export function dress() {
  for (const hidden of document.querySelectorAll('[data-cuts]')) /** @type {HTMLElement} */ (hidden).hidden = false;
  for (const box of document.querySelectorAll('[data-heights]')) draw(/** @type {HTMLElement} */ (box));
}
