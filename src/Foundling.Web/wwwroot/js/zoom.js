import { place } from './place.js';

/** Pictures that can be come nearer to and moved: by wheel, drag, pinch, buttons, or plus, minus and 0. */
export function dress() {
  for (const svg of /** @type {NodeListOf<SVGSVGElement>} */ (document.querySelectorAll('svg[data-zoom]'))) {
    if (!svg.dataset.zoomed) begin(svg);
  }
}

/** How far a pointer may stray and still be a tap, px. */
const TAP = 6;
const NEAREST = 24;

/** @param {SVGSVGElement} svg */
function begin(svg) {
  svg.dataset.zoomed = '1';
  const [, , width, height] = (svg.dataset.whole ?? '').split(' ').map(Number);
  const box = svg.viewBox.baseVal;
  // The frame keeps the shape of the picture whatever of it is shown.
  svg.style.aspectRatio = `${width} / ${height}`;
  /** @param {number} x @param {number} y @param {number} w @param {number} h */
  const set = (x, y, w, h) => svg.setAttribute('viewBox', `${x} ${y} ${w} ${h}`);
  /** @param {number} by @param {{x: number, y: number}} at */
  const scale = (by, at) => {
    const to = Math.min(1, Math.max(1 / NEAREST, (box.width * by) / width)) * width / box.width;
    if (to * box.width >= width && by > 1) set(0, 0, width, height);
    else set(at.x - (at.x - box.x) * to, at.y - (at.y - box.y) * to, box.width * to, box.height * to);
  };
  const middle = () => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 });

  svg.addEventListener('wheel', (event) => {
    event.preventDefault();
    scale(event.deltaY < 0 ? 0.87 : 1.15, place(svg, event));
  }, { passive: false });

  /** @type {Map<number, PointerEvent>} */
  const down = new Map();
  let moved = 0;
  svg.addEventListener('pointerdown', (event) => {
    down.set(event.pointerId, event);
    if (down.size === 1) moved = 0;
  });
  svg.addEventListener('pointermove', (event) => {
    const before = down.get(event.pointerId);
    if (!before) return;
    const others = [...down.values()].filter((p) => p.pointerId !== event.pointerId);
    const [from, to] = [place(svg, before), place(svg, event)];
    moved += Math.hypot(event.clientX - before.clientX, event.clientY - before.clientY);
    if (others.length > 0) {
      const apart = (/** @type {PointerEvent} */ p) => Math.hypot(p.clientX - others[0].clientX, p.clientY - others[0].clientY);
      scale(apart(before) / Math.max(1, apart(event)), place(svg, others[0]));
      moved = TAP + 1;
    } else if (moved > TAP) {
      svg.setPointerCapture(event.pointerId);
      set(box.x - (to.x - from.x), box.y - (to.y - from.y), box.width, box.height);
    } else return;
    down.set(event.pointerId, event);
  });
  for (const end of ['pointerup', 'pointercancel', 'pointerleave']) {
    svg.addEventListener(end, (event) => down.delete(/** @type {PointerEvent} */ (event).pointerId));
  }
  // A drag is no tap.
  svg.addEventListener('click', (event) => {
    if (moved > TAP) event.stopImmediatePropagation();
    moved = 0;
  }, { capture: true });

  svg.addEventListener('keydown', (event) => {
    const by = { '+': 0.7, '=': 0.7, '-': 1 / 0.7, 0: 0 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    if (by === 0) set(0, 0, width, height);
    else scale(by, middle());
  });
  svg.parentElement?.addEventListener('click', (event) => {
    const button = event.target instanceof Element ? event.target.closest('[data-zoom-by]') : null;
    if (!button) return;
    const by = Number(button.getAttribute('data-zoom-by'));
    if (by === 0) set(0, 0, width, height);
    else scale(by, middle());
  });
}
