/**
 * A sole being lapped, as a film: the server works the frames out and sends them one by one; here they are shown, played, wound back and
 * forth. The point where the hands press is dragged, or moved by the arrow keys, and holds from the stroke that is shown on.
 */
import { ask } from './ask.js';
import { lines } from './lines.js';
import { place } from './place.js';

/** @typedef {{n: number, marks: string, touch: string, h: number[], said: string, end: boolean}} Frame */

const WIDTH = 760, STEP = 5, BIG = 25, MS_A_FRAME = 60;

/** @type {{columns: number, rows: number} | null} */
let sole = null;
/** @type {Frame[]} */
let frames = [];
/** @type {AbortController | null} */
let filming = null;
let playing = 0, shown = 0;

/** @template {Element} T @param {string} what @returns {T | null} */
const one = (what) => /** @type {T | null} */ (document.querySelector(what));
const film = () => /** @type {HTMLElement | null} */ (one('[data-film]'));
const form = () => /** @type {HTMLFormElement | null} */ (one('form[data-lap]'));

/** @param {number} index */
function show(index) {
  const frame = frames[index], box = film();
  if (!frame || !sole || !box) return;
  shown = index;
  const high = Number(one('[data-film] rect.plate')?.getAttribute('height')), w = WIDTH / sole.columns, h = high / sole.rows;
  let left = '', faint = '', touch = '';
  for (let f = 0; f < frame.marks.length; f++) {
    const x = (Math.floor(f / sole.rows) * w).toFixed(1), y = (f % sole.rows) * h;
    if (frame.touch[f] === '1') touch += `M${x} ${y.toFixed(1)}h${w.toFixed(1)}v${h.toFixed(1)}h-${w.toFixed(1)}z`;
    const stroke = `M${x} ${(y + h).toFixed(1)}l${w.toFixed(1)} -${h.toFixed(1)}`;
    if (frame.marks[f] === 'l') left += stroke;
    if (frame.marks[f] === 'f') faint += stroke;
  }
  one('[data-lap-left]')?.setAttribute('d', left);
  one('[data-lap-faint]')?.setAttribute('d', faint);
  one('[data-lap-touch]')?.setAttribute('d', touch);
  const deep = Math.max(...frames[0].h, 1), column = WIDTH / (frame.h.length - 1);
  const shape = frame.h.map((um, i) => `${i ? 'L' : 'M'}${(i * column).toFixed(1)} ${(8 + (um / deep) * 54).toFixed(1)}`);
  one('[data-lap-shape]')?.setAttribute('d', shape.join(''));
  const at = /** @type {HTMLInputElement | null} */ (one('[data-lap-at]')), said = one('[data-lap-said]');
  if (at) at.value = String(index);
  at?.setAttribute('aria-valuetext', `${frame.n} strokes`);
  if (said) said.textContent = frame.said;
}

function stop() {
  clearInterval(playing);
  playing = 0;
  const button = one('[data-lap-play]');
  if (button) button.textContent = 'Play';
}

function play() {
  if (playing) return stop();
  const button = one('[data-lap-play]');
  if (button) button.textContent = 'Stop';
  if (shown >= frames.length - 1) show(0);
  playing = window.setInterval(() => {
    if (shown < frames.length - 1) show(shown + 1);
    else if (frames.at(-1)?.end) stop();
  }, MS_A_FRAME);
}

/** Fetches the film of what the form says; the strokes that are shown stay. @param {number} strokes */
async function roll(strokes) {
  const box = film(), of = form();
  if (!box || !of) return;
  filming?.abort();
  const mine = filming = new AbortController();
  const query = new URLSearchParams();
  for (const [key, value] of new FormData(of)) if (value !== '') query.append(key, String(value));
  stop();
  frames = [];
  shown = 0;
  try {
    for await (const got of lines(`${box.dataset.film}&${query}`, mine.signal)) take(got, strokes);
    box.dataset.rolled = 'yes';
  } catch (fault) {
    if (!(fault instanceof DOMException && fault.name === 'AbortError')) throw fault;
  }
}

/** @param {any} got @param {number} strokes */
function take(got, strokes) {
  if (got.fault) {
    const said = one('[data-lap-said]');
    if (said) said.textContent = got.fault;
  } else if (got.columns) sole = got;
  else {
    frames.push(got);
    const at = /** @type {HTMLInputElement | null} */ (one('[data-lap-at]'));
    if (at) at.max = String(frames.length - 1);
    if (frames.length === 1 || got.n <= strokes) show(frames.length - 1);
  }
}

/** Puts the hands at a place, mm, and asks what comes of it. @param {number} x @param {number} y */
async function press(x, y) {
  const of = form(), box = film();
  if (!of || !box) return;
  const length = Number(box.dataset.length), width = Number(box.dataset.width);
  const mm = { x: Math.min(length, Math.max(0, x)), y: Math.min(width, Math.max(0, y)) }, strokes = frames[shown]?.n ?? 0;
  put(mm.x, mm.y);
  for (const old of /** @type {NodeListOf<HTMLInputElement>} */ (of.querySelectorAll('input[name="move"]'))) {
    if (Number(old.value.split('|')[0]) >= strokes) old.remove();
  }
  add(of, 'move', `${strokes}|${mm.x.toFixed(1)}|${mm.y.toFixed(1)}`);
  await Promise.all([roll(strokes), ask(of, '[data-lap-shown]')]);
}

/** @param {HTMLFormElement} of @param {string} name @param {string} value */
function add(of, name, value) {
  const input = document.createElement('input');
  [input.type, input.name, input.value] = ['hidden', name, value];
  (one('[data-lap-shown]') ?? of).append(input);
}

/** @param {number} x @param {number} y */
function put(x, y) {
  const hands = /** @type {SVGElement | null} */ (one('[data-lap-hands]')), box = film();
  if (!hands || !box) return;
  const length = Number(box.dataset.length), height = Number(one('[data-film] rect.plate')?.getAttribute('height'));
  [hands.dataset.x, hands.dataset.y] = [String(x), String(y)];
  hands.setAttribute('transform', `translate(${(x / length) * WIDTH} ${(y / Number(box.dataset.width)) * height})`);
  hands.setAttribute('aria-valuenow', x.toFixed(0));
  hands.setAttribute('aria-valuetext', `${x.toFixed(0)} mm from the toe`);
  const again = /** @type {HTMLElement | null} */ (one('[data-lap-again]'));
  if (again) again.hidden = false;
}

export function start() {
  /** @type {SVGElement | null} */
  let held = null;
  /** @param {PointerEvent} event */
  const at = (event) => {
    const box = film(), point = place(/** @type {SVGSVGElement} */ (held?.closest('svg')), event);
    const height = Number(one('[data-film] rect.plate')?.getAttribute('height'));
    return { x: (point.x / WIDTH) * Number(box?.dataset.length), y: (point.y / height) * Number(box?.dataset.width) };
  };
  document.addEventListener('pointerdown', (event) => {
    held = event.target instanceof Element ? event.target.closest('[data-lap-hands]') : null;
    if (!held) return;
    event.preventDefault();
    stop();
    held.focus();
    held.setPointerCapture(event.pointerId);
  });
  document.addEventListener('pointermove', (event) => {
    if (held) put(Math.max(0, at(event).x), Math.max(0, at(event).y));
  });
  document.addEventListener('pointerup', () => {
    if (held) press(Number(held.dataset.x), Number(held.dataset.y));
    held = null;
  });
  document.addEventListener('keydown', (event) => {
    const hands = event.target instanceof Element ? /** @type {SVGElement | null} */ (event.target.closest('[data-lap-hands]')) : null;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!hands || !way) return;
    event.preventDefault();
    const step = event.shiftKey ? BIG : STEP;
    press(Number(hands.dataset.x) + (way[0] * step), Number(hands.dataset.y) + (way[1] * step));
  });
  document.addEventListener('click', (event) => {
    const on = event.target instanceof Element ? event.target : null;
    if (on?.closest('[data-lap-play]')) play();
    if (on?.closest('[data-lap-again]')) {
      for (const input of document.querySelectorAll('form[data-lap] input[name="move"]')) input.remove();
      const of = form();
      if (of) of.requestSubmit();
    }
  });
  document.addEventListener('input', (event) => {
    const at = event.target instanceof Element ? /** @type {HTMLInputElement | null} */ (event.target.closest('[data-lap-at]')) : null;
    if (at) {
      stop();
      show(Number(at.value));
    }
  });
}

export function dress() {
  for (const hidden of document.querySelectorAll('[data-lap-play], [data-lap-at], [data-lap-hint]')) /** @type {HTMLElement} */ (hidden).hidden = false;
  const again = /** @type {HTMLElement | null} */ (one('[data-lap-again]'));
  if (again) again.hidden = !one('form[data-lap] input[name="move"]');
  return roll(0);
}
