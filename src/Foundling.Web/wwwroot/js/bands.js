/**
 * Dragging the ends of bands on a time chart. The years are rounded from the place on the rule and kept in order; what
 * they mean is for the server to say. Arrow keys move by a year, Page Up and Down by ten, Home and End open an end.
 */
const order = ['a', 'b', 'c', 'd'];

export function start() {
  /** @type {{grip: SVGGElement, band: SVGGElement, years: (number | null)[], before: string} | null} */
  let held = null;

  document.addEventListener('pointerdown', (event) => {
    const grip = event.target instanceof Element ? /** @type {SVGGElement | null} */ (event.target.closest('[data-chart] [data-h]')) : null;
    if (!grip) return;
    event.preventDefault();
    grip.focus();
    grip.setPointerCapture(event.pointerId);
    held = take(grip);
  });
  document.addEventListener('pointermove', (event) => {
    if (!held) return;
    const chart = /** @type {SVGSVGElement} */ (held.grip.closest('svg'));
    const box = chart.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * chart.viewBox.baseVal.width;
    move(held, yearAt(chart, x));
  });
  document.addEventListener('pointerup', () => {
    if (held) commit(held);
    held = null;
  });
  document.addEventListener('keydown', (event) => {
    const grip = event.target instanceof Element ? /** @type {SVGGElement | null} */ (event.target.closest('[data-chart] [data-h]')) : null;
    if (!grip || event.ctrlKey || event.metaKey || event.altKey) return;
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[event.key];
    const open = event.key === 'Home' || event.key === 'End';
    if (by === undefined && !open) return;
    event.preventDefault();
    event.stopPropagation();
    const state = take(grip);
    const chart = /** @type {SVGSVGElement} */ (grip.closest('svg'));
    const at = order.indexOf(grip.dataset.h ?? 'a');
    const edge = Number(at < 2 ? chart.dataset.from : chart.dataset.to);
    move(state, open ? null : (state.years[at] ?? edge) + (by ?? 0));
    clearTimeout(pending);
    pending = setTimeout(() => commit(state), 500);
  });
  const use = (/** @type {Event} */ event) => {
    const button = event.target instanceof Element ? event.target.closest('[data-chart] [data-use]') : null;
    if (!button) return;
    event.preventDefault();
    const band = /** @type {SVGGElement} */ (button.closest('[data-variant]'));
    send(band, [null, null, null, null], '');
  };
  document.addEventListener('click', use);
  document.addEventListener('keydown', (event) => {
    if (event.key === 'Enter' || event.key === ' ') use(event);
  });
}

/** @type {ReturnType<typeof setTimeout> | undefined} */
let pending;

/** @param {SVGGElement} grip */
function take(grip) {
  const band = /** @type {SVGGElement} */ (grip.closest('[data-variant]'));
  const text = band.dataset.now ?? band.dataset.years ?? '';
  return { grip, band, before: band.dataset.years ?? '', years: text.split(',').map((y) => (y === '' ? null : Number(y))) };
}

/** @param {SVGSVGElement} chart @param {number} x @returns {number | null} */
function yearAt(chart, x) {
  const [left, span, from, to] = ['left', 'span', 'from', 'to'].map((k) => Number(chart.dataset[k]));
  return x < left - 6 || x > left + span + 6 ? null : Math.round(from + ((x - left) / span) * (to - from));
}

/**
 * Moves an end; the others give way so that the order holds.
 * @param {{grip: SVGGElement, band: SVGGElement, years: (number | null)[]}} held @param {number | null} year
 */
function move({ grip, band, years }, year) {
  const at = order.indexOf(grip.dataset.h ?? 'a');
  const pair = at < 2 ? [0, 1] : [2, 3];
  if (year === null) {
    for (const i of pair) years[i] = null;
  } else {
    years[at] = Math.min(2000, Math.max(1800, year));
    const other = pair[0] === at ? pair[1] : pair[0];
    years[other] ??= years[at];
    for (let i = at - 1; i >= 0; i--) if (years[i] !== null) years[i] = Math.min(/** @type {number} */ (years[i]), year);
    for (let i = at + 1; i < 4; i++) if (years[i] !== null) years[i] = Math.max(/** @type {number} */ (years[i]), year);
  }
  band.dataset.now = years.map((y) => y ?? '').join(',');
  draw(band, years);
}

/** @param {SVGGElement} band @param {(number | null)[]} years */
function draw(band, years) {
  const chart = /** @type {SVGSVGElement} */ (band.closest('svg'));
  const [left, span, from, to] = ['left', 'span', 'from', 'to'].map((k) => Number(chart.dataset[k]));
  const y = Number(band.dataset.y);
  const x = years.map((year, i) => (year === null ? (i < 2 ? left : left + span) : left + ((Math.min(to, Math.max(from, year)) - from) / (to - from)) * span));
  band.querySelector('.band')?.setAttribute('d', `M${x[0]} ${y + 17}L${x[1]} ${y}L${x[2]} ${y}L${x[3]} ${y + 17}Z`);
  order.forEach((name, i) => {
    const grip = band.querySelector(`[data-h="${name}"]`);
    for (const circle of grip?.querySelectorAll('circle') ?? []) circle.setAttribute('cx', String(x[i]));
    grip?.setAttribute('aria-valuetext', years[i] === null ? 'open' : String(years[i]));
  });
  const said = document.getElementById('years-said');
  if (said) said.textContent = years.map((year) => year ?? 'open').join(' – ');
}

/** @param {{grip: SVGGElement, band: SVGGElement, years: (number | null)[], before: string}} held */
function commit({ grip, band, years, before }) {
  if (years.map((y) => y ?? '').join(',') !== before) send(band, years, grip.getAttribute('aria-label') ?? '');
}

/** @param {SVGGElement} band @param {(number | null)[]} years @param {string} focus */
function send(band, years, focus) {
  const form = /** @type {HTMLFormElement | null} */ (document.getElementById('years-form'));
  if (!form) return;
  if (form.hasAttribute('aria-busy')) {
    // The change before is still on its way; this one follows on the page it brings.
    setTimeout(() => send(band, years, focus), 150);
    return;
  }
  const set = (/** @type {string} */ name, /** @type {string} */ value) => {
    /** @type {HTMLInputElement} */ (form.elements.namedItem(name)).value = value;
  };
  set('trait', band.dataset.trait ?? '');
  set('variant', band.dataset.variant ?? '');
  order.forEach((name, i) => set(name, String(years[i] ?? '')));
  form.dataset.focus = focus;
  form.requestSubmit();
}
