/**
 * A sole read place by place: the next place is lit, what is typed or heard goes there, and the next lights up. An indicator is listened to as
 * long as somebody wants it; a reading that stands still is taken, or any key takes what it shows.
 */
import { lines } from './lines.js';

/** @type {AbortController | null} */
let listening = null;
let at = 0;

const form = () => /** @type {HTMLFormElement | null} */ (document.querySelector('form[data-live]'));
const cells = () => /** @type {HTMLInputElement[]} */ ([...(form()?.querySelectorAll('input[name="cell"]') ?? [])]);
/** @param {string} what */
const one = (what) => /** @type {HTMLElement | null} */ (form()?.querySelector(what) ?? null);
/** @param {string} text */
const say = (text) => { const said = one('[data-live-said]'); if (said) said.textContent = text; };

/** Lights a place. @param {number} place */
function light(place) {
  const all = cells();
  at = Math.min(Math.max(0, place), all.length);
  for (const circle of form()?.querySelectorAll('[data-place]') ?? []) {
    const i = Number(/** @type {SVGElement} */ (circle).dataset.place);
    circle.setAttribute('class', i === at ? 'lit' : all[i]?.value ? 'read' : '');
  }
  if (at >= all.length) say('All places are read. Keep these readings.');
}

/** Puts a height where the light is. @param {string} height */
function put(height) {
  const cell = cells()[at];
  if (!cell) return;
  cell.value = height;
  cell.dispatchEvent(new Event('input', { bubbles: true }));
  light(at + 1);
}

function hush() {
  listening?.abort();
  listening = null;
  const button = one('[data-listen]'), take = one('[data-take]');
  if (button) button.textContent = 'Listen to the indicator';
  if (take) take.hidden = true;
}

async function listen() {
  if (listening) return hush();
  const mine = listening = new AbortController(), shown = one('[data-live-shown]'), button = one('[data-listen]'), take = one('[data-take]');
  if (button) button.textContent = 'Stop listening';
  if (take) take.hidden = false;
  say('Listening: hold the tip still at the lit place, and it is taken.');
  try {
    for await (const heard of lines(form()?.dataset.live ?? '', mine.signal)) {
      if (shown && heard.shown) shown.textContent = heard.shown;
      if (heard.over) say(heard.over);
      else if (heard.wild) say('That is no reading of this face: it was not taken. Set the tip down again.');
      else if (heard.steady) {
        put(heard.steady);
        if (at >= cells().length) return hush();
        say('');
      } else if (!heard.shown) say('A line could not be read and was let go.');
    }
    hush();
  } catch (fault) {
    if (!(fault instanceof DOMException && fault.name === 'AbortError')) {
      say('The instrument was lost. What is read stays.');
      hush();
    }
  }
}

/** Takes what is shown, by hand. */
function takeShown() {
  const shown = one('[data-live-shown]')?.textContent ?? '';
  if (/\d/.test(shown)) put(shown);
}

/** Lights the line a straightedge lies on and the place of its gap. @param {HTMLElement | null} field */
function laid(field) {
  for (const line of document.querySelectorAll('.feelers path[data-line]')) line.classList.toggle('lit',
    field !== null && /** @type {SVGElement} */ (line).dataset.line === field.dataset.line);
  for (const circle of document.querySelectorAll('.feelers circle[data-station]')) circle.classList.toggle('lit',
    field !== null && /** @type {SVGElement} */ (circle).dataset.station === field.dataset.station);
}

export function start() {
  document.addEventListener('click', (event) => {
    const on = event.target instanceof Element ? event.target : null;
    if (!on?.closest('form[data-live]')) return;
    if (on.closest('[data-listen]')) listen();
    if (on.closest('[data-take]')) takeShown();
    if (on.closest('[data-back]')) light(at - 1);
    if (on.closest('[data-skip]')) light(at + 1);
    const place = /** @type {SVGElement | null} */ (on.closest('[data-place]'));
    if (place) light(Number(place.dataset.place));
  });
  // A foot switch is any key; in a field a key is what it always is.
  document.addEventListener('keydown', (event) => {
    const field = event.target instanceof Element && event.target.closest('input, select, textarea, button, a, summary');
    if (!listening || field || event.ctrlKey || event.altKey || event.metaKey || event.key === 'Tab') return;
    event.preventDefault();
    takeShown();
  });
  document.addEventListener('focusin', (event) => {
    const cell = event.target instanceof Element ? cells().indexOf(/** @type {HTMLInputElement} */ (event.target)) : -1;
    if (cell >= 0) light(cell);
    laid(event.target instanceof HTMLElement && event.target.dataset.line ? event.target : null);
  });
}

export function dress() {
  const places = one('[data-places]');
  if (places) places.hidden = false;
  const first = cells().findIndex((cell) => !cell.value);
  light(first < 0 ? 0 : first);
}
