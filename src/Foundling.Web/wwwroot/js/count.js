import { place } from './place.js';

/**
 * Marking an outline on a picture and answering its points one by one. Answers are kept by the server as they come, and
 * it works out the share; here is only which point is next.
 */
export function dress() {
  outline();
  points();
}

/** @param {number} v */
const round = (v) => Math.round(v * 10) / 10;

function outline() {
  const svg = /** @type {SVGSVGElement | null} */ (document.querySelector('svg[data-outline]'));
  if (!svg || svg.dataset.ready) return;
  svg.dataset.ready = '1';
  const [, , width, height] = (svg.dataset.whole ?? '').split(' ').map(Number);
  const shown = svg.viewBox.baseVal;
  const step = Number(svg.dataset.step);
  const cross = { x: shown.x + shown.width / 2, y: shown.y + shown.height / 2 };
  const tapped = () => document.querySelector('input[name=tap]:checked')?.getAttribute('value') ?? 'outline';
  const field = () => /** @type {HTMLInputElement} */ (document.getElementById(tapped()));
  const show = () => {
    for (const [id, css] of [['outline', '.rim'], ['reference', '.reference']]) {
      svg.querySelector(css)?.setAttribute('points', /** @type {HTMLInputElement} */ (document.getElementById(id)).value);
    }
    const lines = `M${cross.x - step * 2} ${cross.y}h${step * 4}M${cross.x} ${cross.y - step * 2}v${step * 4}`;
    svg.querySelector('.cross')?.setAttribute('d', document.activeElement === svg ? lines : '');
  };
  const add = (/** @type {number} */ x, /** @type {number} */ y) => {
    const input = field();
    const all = input.value.split(' ').filter(Boolean);
    if (input.id !== 'outline' && all.length >= 2) all.length = 0;
    all.push(`${round(Math.min(width, Math.max(0, x)))},${round(Math.min(height, Math.max(0, y)))}`);
    input.value = all.join(' ');
    if (input.id === 'ends') lay();
    show();
  };
  /** Lays the part's drawing between the two ends of the tool, once both and the part are known; the shop works out where it lies. */
  const lay = async () => {
    const ends = /** @type {HTMLInputElement} */ (document.getElementById('ends')).value;
    const part = /** @type {HTMLSelectElement} */ (document.getElementById('part')).value;
    if (!ends.includes(' ') || !part) return;
    const answer = await fetch(`${svg.dataset.laid}&part=${encodeURIComponent(part)}&ends=${encodeURIComponent(ends)}`).catch(() => null);
    const outline = answer?.ok ? await answer.text() : '';
    if (outline === '') return;
    /** @type {HTMLInputElement} */ (document.getElementById('outline')).value = outline;
    show();
  };
  svg.addEventListener('click', (event) => {
    const at = place(svg, event);
    add(at.x, at.y);
  });
  svg.addEventListener('keydown', (event) => {
    const far = event.shiftKey ? 5 : 1;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (by) {
      cross.x = Math.min(width, Math.max(0, cross.x + by[0] * step * far));
      cross.y = Math.min(height, Math.max(0, cross.y + by[1] * step * far));
    } else if (event.key === 'Enter') add(cross.x, cross.y);
    else if (event.key === 'Backspace') field().value = field().value.split(' ').filter(Boolean).slice(0, -1).join(' ');
    else return;
    event.preventDefault();
    event.stopPropagation();
    show();
  });
  svg.addEventListener('focus', show);
  document.getElementById('outline')?.addEventListener('input', show);
  document.getElementById('part')?.addEventListener('change', lay);
  show();
}

function points() {
  const room = /** @type {HTMLElement | null} */ (document.querySelector('[data-count]'));
  if (!room || room.dataset.ready) return;
  room.dataset.ready = '1';
  const all = [...room.querySelectorAll('circle[data-i]')];
  const size = Number(room.dataset.size);
  let answers = room.dataset.answers ?? '';
  /** @type {ReturnType<typeof setTimeout> | undefined} */
  let later;
  const show = () => {
    all.forEach((point, i) => point.setAttribute('class', `pt ${answers[i] ?? ''}${i === answers.length ? ' here' : ''}`));
    const next = all[Math.min(answers.length, all.length - 1)];
    const x = Number(next.getAttribute('cx'));
    const y = Number(next.getAttribute('cy'));
    const loupe = room.querySelector('.loupe');
    loupe?.setAttribute('viewBox', `${x - size * 5} ${y - size * 3.6} ${size * 10} ${size * 7.2}`);
    loupe?.querySelector('.cross2')?.setAttribute('transform', `translate(${x} ${y})`);
    const done = room.querySelector('[data-done]');
    if (done) done.textContent = String(answers.length);
  };
  const send = async () => {
    const form = /** @type {HTMLFormElement} */ (room.querySelector('[data-answers-form]'));
    /** @type {HTMLInputElement} */ (form.elements.namedItem('answers')).value = answers;
    const lost = /** @type {HTMLElement} */ (room.querySelector('[data-lost]'));
    try {
      const answer = await fetch(form.action, { method: 'POST', body: new FormData(form) });
      if (!answer.ok) throw new Error();
      lost.hidden = true;
      const { result } = await answer.json();
      const put = (/** @type {string} */ name, /** @type {string} */ text) => {
        const place = room.querySelector(`[data-${name}]`);
        if (place) place.textContent = text;
      };
      const percent = (/** @type {number} */ v) => Math.round(v * 100);
      put('share', result ? `${percent(result.share)} %` : '–');
      put('range', result ? `between ${percent(result.low_95)} and ${percent(result.high_95)}` : '');
      put('more', !result ? '' : result.more_points_for_5 > 0 ? `${result.more_points_for_10} more points for ±10, ${result.more_points_for_5} for ±5`
        : 'close enough: within ±5');
    } catch {
      lost.hidden = false;
    }
  };
  const answer = (/** @type {string} */ what) => {
    if (what === 'u') answers = answers.slice(0, -1);
    else if (answers.length < all.length) answers += what;
    show();
    clearTimeout(later);
    later = setTimeout(send, 150);
  };
  room.addEventListener('click', (event) => {
    const button = event.target instanceof Element ? event.target.closest('[data-answer]') : null;
    if (button) answer(button.getAttribute('data-answer') ?? '');
  });
  document.addEventListener('keydown', (event) => {
    if (!room.isConnected || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof Element && event.target.closest('input, select, textarea, summary, a')) return;
    const what = { ' ': 'y', n: 'n', s: 's', u: 'u', Backspace: 'u' }[event.key];
    if (!what) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    answer(what);
  }, { capture: true });
  show();
}
