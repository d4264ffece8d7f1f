/**
 * Marks painted over the sole with a thumb: a field takes what the brush says, and the rows of letters beneath follow. The letters are what
 * is sent, and can be typed as well.
 */
const NAMES = { g: 'gone', f: 'faint', l: 'left', '-': 'unseen' };

/** @type {string} */
let brush = 'g';

const rows = () => /** @type {HTMLInputElement[]} */ ([...document.querySelectorAll('[data-marks-rows] input[name="row"]')]);
const fields = () => /** @type {HTMLElement[]} */ ([...document.querySelectorAll('[data-marks-pad] [data-row]')]);

/** Shows the letters on the pad. */
function draw() {
  const letters = rows().map((row) => row.value.replace(/\s/g, '').toLowerCase());
  for (const field of fields()) {
    const letter = letters[Number(field.dataset.row)]?.[Number(field.dataset.column)] ?? '-';
    field.className = letter in NAMES ? `m-${letter === '-' ? 'u' : letter}` : 'm-u';
  }
}

/** @param {HTMLElement} field */
function paint(field) {
  const row = rows()[Number(field.dataset.row)], along = Number(field.parentElement?.dataset.along), column = Number(field.dataset.column);
  if (!row) return;
  const letters = row.value.replace(/\s/g, '').padEnd(along, 'l').split('');
  if (letters[column] === brush) return;
  letters[column] = brush;
  row.value = letters.join('');
  row.dispatchEvent(new Event('input', { bubbles: true }));
}

/** @param {string} letter */
function take(letter) {
  brush = letter;
  for (const button of document.querySelectorAll('[data-brush]')) {
    button.setAttribute('aria-checked', String(/** @type {HTMLElement} */ (button).dataset.brush === letter));
  }
}

/** The field under a pointer. @param {PointerEvent} event */
function under(event) {
  const at = document.elementFromPoint(event.clientX, event.clientY);
  return /** @type {HTMLElement | null} */ (at?.closest('[data-marks-pad] [data-row]') ?? null);
}

export function start() {
  let painting = false;
  document.addEventListener('pointerdown', (event) => {
    const field = under(event);
    if (!field) return;
    event.preventDefault();
    painting = true;
    // A finger that has come down on a field keeps painting wherever it goes.
    if (field.hasPointerCapture(event.pointerId)) field.releasePointerCapture(event.pointerId);
    paint(field);
  });
  document.addEventListener('pointermove', (event) => {
    const field = painting ? under(event) : null;
    if (field) paint(field);
  });
  for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, () => { painting = false; });
  document.addEventListener('click', (event) => {
    const chosen = event.target instanceof Element ? /** @type {HTMLElement | null} */ (event.target.closest('[data-brush]')) : null;
    if (chosen?.dataset.brush) take(chosen.dataset.brush);
  });
  document.addEventListener('keydown', (event) => {
    const at = event.target instanceof Element ? event.target.closest('[data-brush]') : null;
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (!at || !step) return;
    event.preventDefault();
    const all = /** @type {HTMLElement[]} */ ([...document.querySelectorAll('[data-brush]')]);
    const next = all[(all.indexOf(/** @type {HTMLElement} */ (at)) + step + all.length) % all.length];
    take(next.dataset.brush ?? 'g');
    next.focus();
  });
  document.addEventListener('input', (event) => {
    if (event.target instanceof Element && event.target.matches('[data-marks-rows] input')) draw();
  });
}

export function dress() {
  for (const hidden of document.querySelectorAll('[data-marks-pad], [data-marks-brushes]')) /** @type {HTMLElement} */ (hidden).hidden = false;
  const typed = /** @type {HTMLDetailsElement | null} */ (document.querySelector('[data-marks-rows]'));
  if (typed) typed.open = false;
  take(brush);
  draw();
}
