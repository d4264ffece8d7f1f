/** Small drawing pads: strokes become path data in hidden fields, shown as they are drawn. */
export function start() {
  /** @type {{pad: HTMLElement, path: string} | null} */
  let stroke = null;
  const field = (/** @type {HTMLElement} */ pad, /** @type {string} */ name) => /** @type {HTMLInputElement} */ (pad.querySelector(`input[data-${name}]`));
  const show = (/** @type {HTMLElement} */ pad, extra = '') => {
    pad.querySelector('.var-line')?.setAttribute('d', field(pad, 'drawn').value + extra);
    pad.querySelector('.var-fill')?.setAttribute('d', field(pad, 'filled').value);
    pad.querySelector('.var-pale')?.setAttribute('d', field(pad, 'pale').value);
  };
  const place = (/** @type {PointerEvent} */ event, /** @type {Element} */ svg) => {
    const box = svg.getBoundingClientRect();
    const clamp = (/** @type {number} */ v, /** @type {number} */ most) => Math.round(Math.min(most, Math.max(0, v)) * 2) / 2;
    return `${clamp(((event.clientX - box.left) / box.width) * 78, 78)} ${clamp(((event.clientY - box.top) / box.height) * 40, 40)}`;
  };
  document.addEventListener('pointerdown', (event) => {
    const svg = event.target instanceof Element ? event.target.closest('[data-pad] svg') : null;
    if (!svg) return;
    event.preventDefault();
    svg.setPointerCapture(event.pointerId);
    stroke = { pad: /** @type {HTMLElement} */ (svg.closest('[data-pad]')), path: 'M' + place(event, svg) };
  });
  document.addEventListener('pointermove', (event) => {
    const svg = stroke?.pad.querySelector('svg');
    if (!stroke || !svg || stroke.path.length > 2000) return;
    stroke.path += 'L' + place(event, svg);
    show(stroke.pad, stroke.path);
  });
  document.addEventListener('pointerup', () => {
    if (stroke?.path.includes('L')) field(stroke.pad, 'drawn').value += stroke.path;
    if (stroke) show(stroke.pad);
    stroke = null;
  });
  document.addEventListener('click', (event) => {
    const button = event.target instanceof Element ? event.target.closest('[data-pad] button[data-do]') : null;
    const pad = /** @type {HTMLElement | null} */ (button?.closest('[data-pad]') ?? null);
    if (!button || !pad) return;
    const drawn = field(pad, 'drawn');
    const last = drawn.value.lastIndexOf('M');
    const what = button.getAttribute('data-do');
    if (what === 'clear') for (const name of ['drawn', 'filled', 'pale']) field(pad, name).value = '';
    if (what === 'undo') drawn.value = drawn.value.slice(0, Math.max(0, last));
    if (what === 'fill' && last >= 0) {
      field(pad, 'filled').value += drawn.value.slice(last) + 'Z';
      drawn.value = drawn.value.slice(0, last);
    }
    show(pad);
  });
}
