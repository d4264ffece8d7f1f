import { place } from './place.js';

/**
 * Tracing a tool on a photograph. What was tapped is kept in one field of the form; the shop draws from it and says what is
 * missing. The photograph itself stays in the browser.
 *
 * @typedef {number[]} Point x, y, and how the line passes it: 0 as it looks, 1 a corner, 2 a curve
 * @typedef {{part: string, name: string, loops: Point[][]}} Part
 */
export function dress() {
  for (const room of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('.trace'))) if (!room.dataset.ready) begin(room);
}

/** The line of known length is tapped like a part. */
const LINE = '';

/** How near a tap is to a point or a line for it to be meant, px. */
const reach = () => matchMedia('(pointer: coarse)').matches ? 20 : 9;

/** @param {HTMLElement} room */
function begin(room) {
  room.dataset.ready = '1';
  const form = /** @type {HTMLFormElement} */ (room.closest('form'));
  const [kept, known, whole, mirrored, file, svg] = [
    /** @type {HTMLTextAreaElement} */ (room.querySelector('textarea')), /** @type {HTMLInputElement} */ (room.querySelector('#known')),
    /** @type {HTMLSelectElement} */ (room.querySelector('#trace-whole')), /** @type {HTMLInputElement} */ (room.querySelector('[data-trace-mirrored]')),
    /** @type {HTMLInputElement} */ (room.querySelector('#photo')), /** @type {SVGSVGElement} */ (room.querySelector('svg')),
  ];
  const find = (/** @type {string} */ what) => /** @type {HTMLElement} */ (room.querySelector(what));
  const box = svg.viewBox.baseVal;
  const size = { width: 1200, height: 800 };
  /** @type {Map<string, Point[][]>} */
  const traced = new Map();
  let active = LINE;
  /** @type {Point | null} */
  let chosen = null;
  const cross = { x: 600, y: 400 };

  /** Parts that are ticked, and those it has beside that have a name. @returns {[string, string][]} */
  const parts = () => [
    ...[.../** @type {NodeListOf<HTMLInputElement>} */ (form.querySelectorAll('[name=has]'))].filter((has) => has.type === 'hidden' || has.checked)
      .map((has) => /** @type {[string, string]} */ ([has.value, called(has)])),
    ...[.../** @type {NodeListOf<HTMLInputElement>} */ (form.querySelectorAll('[name=key]'))].filter((key) => key.value && beside(key).value)
      .map((key) => /** @type {[string, string]} */ ([key.value, beside(key).value])),
  ];
  /** @param {HTMLInputElement} has */
  const called = (has) => {
    const name = /** @type {HTMLInputElement} */ (form.querySelector(`[name="called[${CSS.escape(has.value)}]"]`));
    return name.value || name.placeholder;
  };
  /** @param {Element} key */
  const beside = (key) => /** @type {HTMLInputElement} */ (key.closest('.row')?.querySelector('[name=more]'));
  const loops = () => traced.get(active) ?? traced.set(active, [[]]).get(active) ?? [];

  const read = () => {
    if (!kept.value) return;
    const told = JSON.parse(kept.value);
    traced.set(LINE, [[told.from, told.to].filter((end) => end?.length > 0)]);
    for (const part of told.parts) traced.set(part.part, part.at ? [[part.at]] : part.loops);
    whole.value = told.whole === false ? 'beside' : 'whole';
    mirrored.checked = told.mirrored === true;
    const all = [...traced.values()].flat(2);
    if (all.length > 1) sheet(Math.max(...all.map((p) => p[0])) * 1.1, Math.max(...all.map((p) => p[1])) * 1.1);
  };
  /** The picture's size, which all places are in. @param {number} width @param {number} height */
  const sheet = (width, height) => {
    [size.width, size.height] = [Math.round(width), Math.round(height)];
    svg.dataset.whole = `0 0 ${size.width} ${size.height}`;
    svg.setAttribute('viewBox', svg.dataset.whole);
    svg.style.aspectRatio = `${size.width} / ${size.height}`;
    [cross.x, cross.y] = [size.width / 2, size.height / 2];
  };

  /** @type {ReturnType<typeof setTimeout> | undefined} */
  let later;
  const changed = () => {
    const line = traced.get(LINE)?.[0] ?? [];
    kept.value = JSON.stringify({
      from: line[0] ?? [], to: line[1] ?? [], mm: 0, whole: whole.value === 'whole', mirrored: mirrored.checked,
      parts: [...traced].filter(([part, all]) => part !== LINE && all.some((l) => l.length > 0)).map(([part, all]) => {
        const some = all.filter((l) => l.length > 0);
        return some.length === 1 && some[0].length === 1 ? { part, at: some[0][0] } : { part, loops: some };
      }),
    });
    kept.dispatchEvent(new Event('input', { bubbles: true }));
    show();
    clearTimeout(later);
    later = setTimeout(draw, 250);
  };
  let asked = 0;
  const draw = async () => {
    const turn = ++asked;
    const answer = await fetch(room.dataset.drawn ?? '', { method: 'POST', body: new FormData(form) }).catch(() => null);
    const text = answer?.ok ? await answer.text() : 'The shop does not answer just now; what was tapped is kept here.';
    if (turn !== asked) return;
    const drawn = find('[data-trace-drawn]');
    if (text.trimStart().startsWith('<')) drawn.innerHTML = text;
    else drawn.textContent = text;
  };

  const NS = 'http://www.w3.org/2000/svg';
  /** @param {Point[]} loop @param {boolean} closed */
  const path = (loop, closed) => loop.map((p, i) => `${i ? 'L' : 'M'}${p[0]} ${p[1]}`).join('') + (closed && loop.length > 2 ? 'Z' : '');
  const show = () => {
    picture();
    list();
  };
  const picture = () => {
    const lines = find('[data-trace-lines]');
    lines.replaceChildren();
    const add = (/** @type {string} */ css, /** @type {string} */ d) => {
      const line = document.createElementNS(NS, 'path');
      line.setAttribute('class', css);
      line.setAttribute('d', d);
      lines.append(line);
    };
    for (const [part, all] of traced) {
      for (const loop of all) {
        const here = part === active;
        add(`${part === LINE ? 'trace-known' : 'trace-rim'}${here ? ' here' : ''}`, path(loop, part !== LINE));
        if (!here && loop.length !== 1) continue;
        for (const p of loop) add(`trace-pt${p === chosen ? ' chosen' : ''}${p[2] === 1 ? ' sharp' : ''}`, `M${p[0]} ${p[1]}h0`);
      }
    }
    const wide = box.width / 60;
    const lying = `M${cross.x - wide} ${cross.y}h${wide * 2}M${cross.x} ${cross.y - wide}v${wide * 2}`;
    find('.trace-cross').setAttribute('d', document.activeElement === svg && !chosen ? lying : '');
  };
  const list = () => {
    const names = parts();
    const done = (/** @type {string} */ part) => traced.get(part)?.some((l) => l.length >= (part === LINE ? 2 : 1));
    find('[data-trace-parts]').replaceChildren(...[/** @type {[string, string]} */ ([LINE, 'the known length']), ...names].map(([part, name]) => {
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'chip';
      button.dataset.part = part;
      button.setAttribute('aria-pressed', String(part === active));
      button.textContent = `${done(part) ? '✓ ' : ''}${name}`;
      return button;
    }));
    const name = names.find(([part]) => part === active)?.[1];
    find('[data-trace-work]').hidden = !file.files?.length && traced.size === 0;
    find('[data-trace-hint]').textContent = !file.files?.length && traced.size === 0 ? 'Choose the photograph first; it stays on this machine.'
      : name === undefined ? 'Tap both ends of something whose length you know: the tool itself, or a rule beside it. Say below how long it is.'
        : `Tap round the ${name}, point after point; a tap on its line puts one in between, and points can be dragged. One tap alone says where it is seen.`;
  };

  /** The point or the line of the active part that a place is near. @param {{x: number, y: number}} at */
  const near = (at) => {
    const far = reach() * box.width / Math.max(1, svg.getBoundingClientRect().width);
    const all = loops().flatMap((loop) => loop.map((point, index) => ({ loop, point, index, d: Math.hypot(point[0] - at.x, point[1] - at.y) })));
    const point = all.filter((p) => p.d <= far).sort((a, b) => a.d - b.d)[0];
    if (point || active === LINE) return { point };
    const between = all.filter((p) => p.index + 1 < p.loop.length).find((p) => {
      const [a, b] = [p.point, p.loop[p.index + 1]];
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
      const t = ((at.x - a[0]) * dx + (at.y - a[1]) * dy) / Math.max(1e-9, dx * dx + dy * dy);
      return t > 0.05 && t < 0.95 && Math.hypot(a[0] + t * dx - at.x, a[1] + t * dy - at.y) <= far;
    });
    return { between };
  };
  /** @param {{x: number, y: number}} at @returns {Point} */
  const spot = (at) => [Math.round(Math.min(size.width, Math.max(0, at.x)) * 10) / 10, Math.round(Math.min(size.height, Math.max(0, at.y)) * 10) / 10];
  /** @param {{x: number, y: number}} at */
  const tap = (at) => {
    const { point, between } = near(at);
    if (point) chosen = point.point;
    else if (between) between.loop.splice(between.index + 1, 0, chosen = spot(at));
    else {
      const last = loops()[loops().length - 1];
      const far = (/** @type {Point} */ p) => Math.hypot(p[0] - at.x, p[1] - at.y);
      if (active === LINE && last.length >= 2) move(last.reduce((a, b) => far(a) < far(b) ? a : b), at);
      else last.push(chosen = spot(at));
    }
    changed();
  };
  /** @param {Point} point @param {{x: number, y: number}} to */
  const move = (point, to) => [point[0], point[1]] = spot(to);
  /** @param {Point | null} point */
  const remove = (point) => {
    const all = loops();
    const loop = point ? all.find((l) => l.includes(point)) : all[all.length - 1];
    if (!loop) return;
    loop.splice(point ? loop.indexOf(point) : loop.length - 1, 1);
    if (loop.length === 0 && all.length > 1) all.splice(all.indexOf(loop), 1);
    chosen = null;
    changed();
  };

  // A point under the finger is dragged; elsewhere the picture is.
  let dragged = false;
  svg.addEventListener('pointerdown', (event) => {
    const { point } = near(place(svg, event));
    dragged = false;
    if (!point) return;
    event.stopImmediatePropagation();
    chosen = point.point;
    svg.setPointerCapture(event.pointerId);
    const go = (/** @type {PointerEvent} */ to) => {
      to.stopImmediatePropagation();
      dragged = true;
      move(point.point, place(svg, to));
      picture();
    };
    svg.addEventListener('pointermove', go, { capture: true });
    svg.addEventListener('lostpointercapture', () => {
      svg.removeEventListener('pointermove', go, { capture: true });
      if (dragged) changed();
      else show();
    }, { once: true });
  }, { capture: true });
  svg.addEventListener('click', (event) => {
    if (dragged) dragged = false;
    else tap(place(svg, event));
  });
  svg.addEventListener('keydown', (event) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const all = loops().flat();
    if (by) {
      const step = box.width / (event.shiftKey ? 500 : 60);
      if (chosen) {
        move(chosen, { x: chosen[0] + by[0] * step, y: chosen[1] + by[1] * step });
        changed();
      } else [cross.x, cross.y] = spot({ x: cross.x + by[0] * step, y: cross.y + by[1] * step });
    } else if (event.key === 'Enter' && chosen) chosen = null;
    else if (event.key === 'Enter') {
      tap(cross);
      chosen = null;
    } else if (event.key === 'Escape') chosen = null;
    else if ((event.key === ',' || event.key === '.') && all.length > 0) {
      const at = chosen ? all.indexOf(chosen) : event.key === '.' ? -1 : 0;
      chosen = all[(at + (event.key === '.' ? 1 : all.length - 1)) % all.length];
    } else if (event.key === 'Delete' || event.key === 'Backspace') remove(chosen);
    else return;
    event.preventDefault();
    event.stopPropagation();
    show();
  });
  svg.addEventListener('focus', picture);
  svg.addEventListener('blur', picture);

  room.addEventListener('click', (event) => {
    const button = event.target instanceof Element ? event.target.closest('button') : null;
    if (button?.dataset.part !== undefined) {
      active = button.dataset.part;
      chosen = null;
      show();
      /** @type {HTMLElement | null} */ (room.querySelector('[data-trace-parts] [aria-pressed=true]'))?.focus();
    }
    const act = button?.dataset.traceDo;
    if (act === 'back') remove(chosen);
    else if (act === 'hole' && active !== LINE && loops().every((l) => l.length > 2)) {
      loops().push([]);
      chosen = null;
      show();
    } else if (act === 'corner' && chosen) {
      chosen[2] = chosen[2] === 1 ? 2 : 1;
      changed();
    } else if (act === 'clear') {
      traced.delete(active);
      chosen = null;
      changed();
    }
  });
  for (const field of [known, whole, mirrored]) field.addEventListener('input', changed);
  form.addEventListener('input', (event) => {
    if (event.target instanceof Element && !room.contains(event.target)) open();
  });
  file.addEventListener('change', () => {
    const photo = file.files?.[0];
    if (!photo) return;
    const image = /** @type {SVGImageElement} */ (room.querySelector('image'));
    const address = URL.createObjectURL(photo);
    const shown = new Image();
    shown.onload = () => {
      // A large picture is traced in its own pixels, whatever the screen.
      sheet(shown.naturalWidth, shown.naturalHeight);
      image.setAttribute('width', String(shown.naturalWidth));
      image.setAttribute('height', String(shown.naturalHeight));
      image.setAttribute('href', address);
      show();
    };
    shown.onerror = () => {
      find('[data-trace-work]').hidden = !file.files?.length && traced.size === 0;
    find('[data-trace-hint]').textContent = 'This file is no picture the browser can show.';
      URL.revokeObjectURL(address);
    };
    shown.src = address;
  });
  const open = () => {
    room.hidden = form.querySelector('[name=traced]:checked')?.getAttribute('value') !== 'true';
    show();
  };
  read();
  open();
  if (!room.hidden && traced.size > 0) draw();
}
