/**
 * A bath being put together: whatever is changed is worked out anew by the server and shown at once; parts are moved by dragging, or by
 * the arrow keys, and turned by r. Without this the button does the same.
 */
import { ask } from './ask.js';
import { place } from './place.js';

const STEP = 10, BIG = 50, WHOLE = 'form[data-bath-form]', SHOWN = '[data-bath-shown]';

/** @param {Element | null} inside @returns {HTMLFormElement | null} */
const formOf = (inside) => /** @type {HTMLFormElement | null} */ (inside?.closest('form[data-bath-form]') ?? null);

/** Says where a part is wanted. @param {SVGElement} piece @param {number} x @param {number} y @param {string} lay */
function want(piece, x, y, lay) {
  const form = formOf(piece), key = piece.dataset.piece ?? '';
  if (!form) return;
  for (const old of form.querySelectorAll('input[name="at"]')) if (/** @type {HTMLInputElement} */ (old).value.startsWith(`${key}|`)) old.remove();
  const input = document.createElement('input');
  input.type = 'hidden';
  input.name = 'at';
  input.value = [key, x.toFixed(1), y.toFixed(1), lay].join('|');
  form.append(input);
  ask(form, SHOWN);
}

/** @param {SVGElement} piece */
const now = (piece) => ({ x: Number(piece.dataset.x), y: Number(piece.dataset.y), lay: piece.dataset.lay ?? 'along' });

export function start() {
  /** @type {{piece: SVGElement, from: {x: number, y: number}, dx: number, dy: number} | null} */
  let drag = null;

  /** Where a pointer is, in the millimetres of the drawing. @param {PointerEvent} event @param {SVGElement} piece */
  const at = (event, piece) => place(/** @type {SVGSVGElement} */ (piece.closest('svg')), event);
  document.addEventListener('pointerdown', (event) => {
    const piece = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('.movable[data-piece]')) : null;
    if (!piece) return;
    event.preventDefault();
    piece.focus();
    piece.setPointerCapture(event.pointerId);
    piece.classList.add('held');
    drag = { piece, from: at(event, piece), dx: 0, dy: 0 };
  });
  document.addEventListener('pointermove', (event) => {
    if (!drag) return;
    const to = at(event, drag.piece);
    [drag.dx, drag.dy] = [to.x - drag.from.x, to.y - drag.from.y];
    drag.piece.setAttribute('transform', `translate(${drag.dx} ${drag.dy})`);
  });
  document.addEventListener('pointerup', () => {
    if (!drag) return;
    const { piece, dx, dy } = drag;
    drag = null;
    piece.classList.remove('held');
    if (Math.hypot(dx, dy) < 2) return;
    const { x, y, lay } = now(piece);
    want(piece, x + dx, y + dy, lay);
  });
  document.addEventListener('keydown', (event) => {
    const piece = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('.movable[data-piece]')) : null;
    if (!piece || event.ctrlKey || event.metaKey || event.altKey) return;
    const by = event.shiftKey ? BIG : STEP;
    /** @type {[number, number] | undefined} */
    const move = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key];
    const { x, y, lay } = now(piece);
    if (move) want(piece, x + move[0], y + move[1], lay);
    else if (event.key === 'r') want(piece, x, y, lay === 'along' ? 'across' : 'along');
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  document.addEventListener('change', (event) => {
    const form = event.target instanceof Element ? formOf(event.target) : null;
    if (form) ask(form, WHOLE);
  });
}
