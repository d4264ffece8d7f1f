import { resend, send } from './outbox.js';

/**
 * The stall check. What each answer means was worked out by the shop; here answers are only added up, so that it works
 * without a connection.
 * @typedef {{mean: number, variance: number, cost: number}} Work
 * @typedef {{id: string, text: string, stoppers: string[], doubts: string[], work: string[],
 *   adds: Record<string, Work>, share: number, raises: string[]}} Effect
 * @typedef {{id: string, ask: string, look: string, picture: string, not_after: string[], many: boolean, first: boolean,
 *   pull: number[], answers: Effect[]}} Row
 * @typedef {{times: number, of: string[]}} Term
 * @typedef {{most: number, cost: Term[], price: Term[], common: [number, number][], spread: [number, number][],
 *   said: [number, number][]}} Sums
 * @typedef {{kind: string, name: string, base: Record<string, Work>, rows: Row[]}} Table
 * @typedef {{rate: number, on_shelf: Record<string, number>, sums: Sums, tables: Table[]}} Data
 */
const nowKey = 'stall:now';

export function dress() {
  const room = /** @type {HTMLElement | null} */ (document.querySelector('[data-stall]'));
  if (!room || room.dataset.ready) return;
  room.dataset.ready = '1';
  navigator.serviceWorker?.register('/stall-worker.js', { scope: '/stall' }).catch(() => {});
  const part = (/** @type {string} */ name) => /** @type {HTMLElement} */ (document.querySelector(`[data-stall-${name}]`));
  /** @type {Data | null} */
  let data = null;
  /** @type {{kind: string, path: [string, string][], pictures: boolean, ended: boolean, worth?: string, rate?: string}} */
  let now = { kind: '', path: [], pictures: false, ended: false, ...JSON.parse(localStorage.getItem(nowKey) ?? '{}') };

  const loaded = fetch('/stall?handler=Data').then((answer) => answer.json()).then((got) => { data = got; charge(); show(); }).catch(() => {
    part('waiting').hidden = false;
    part('waiting').textContent = 'The questions could not be fetched. Open the stall check once while the shop can be reached.';
  });

  const table = () => data?.tables.find((t) => t.kind === now.kind);
  const answered = () => now.path.filter(([, a]) => a !== '');
  const effects = () => answered().map(([q, a]) => table()?.rows.find((r) => r.id === q)?.answers.find((x) => x.id === a)).filter((e) => e !== undefined);
  /** A question with several answers is open until one says that is all. @param {Row} r */
  const closed = (r) => now.path.some(([q, a]) => q === r.id && (!r.many || a === '' || a === r.answers[0].id));
  const pending = () => (table()?.rows ?? []).find((r) => r.many && now.path.some(([q]) => q === r.id) && !closed(r));
  const asked = () => new Set(now.path.map(([q]) => q)).size;
  const open = () => (table()?.rows ?? []).filter((r) => !closed(r) && !r.not_after.some((x) => answered().some(([q, a]) => `${q}/${a}` === x)));
  /** The open question most hangs on, which the table says for what was raised and doubted so far. */
  const next = () => {
    const rows = open();
    const going = pending();
    if (going) return going;
    const soFar = effects();
    const doubted = soFar.some((e) => e.doubts.length > 0);
    const pull = (/** @type {Row} */ r) => r.pull[(soFar.some((e) => e.raises.includes(r.id)) ? 1 : 0) + (doubted ? 2 : 0)];
    return rows.find((r) => r.first) ?? rows.sort((a, b) => pull(b) - pull(a))[0];
  };
  const most = () => data?.sums.most ?? 0;
  /** A sum of the table with these figures. @param {Term[]} terms @param {Record<string, number>} figures */
  const sum = (terms, figures) => terms.reduce((all, term) => all + term.of.reduce((product, name) => product * (figures[name] ?? 0), term.times), 0);
  const keep = () => localStorage.setItem(nowKey, JSON.stringify(now));

  function show() {
    const at = table();
    const stopped = effects().some((e) => e.stoppers.length > 0);
    const row = now.ended || stopped || (asked() >= most() && !pending()) ? undefined : next();
    part('kinds').hidden = at !== undefined;
    part('ask').hidden = !at || !row;
    part('verdict').hidden = !at;
    part('send').hidden = !at || row !== undefined;
    part('final').hidden = row !== undefined;
    if (!at) return;
    if (row) question(row);
    verdict(at, row !== undefined);
    keep();
  }

  /** @param {Row} row */
  function question(row) {
    part('count').textContent = `Question ${asked() + (pending() ? 0 : 1)} of at most ${most()}`;
    part('question').textContent = row.ask;
    part('look').textContent = row.look;
    part('picture').hidden = !now.pictures;
    part('picture').textContent = `Ask for a picture: ${row.picture}.`;
    const begun = pending() === row;
    const left = row.answers.filter((answer, i) => !begun || (i > 0 && !now.path.some(([q, a]) => q === row.id && a === answer.id)));
    part('answers').classList.toggle('many', row.many);
    part('skip').textContent = begun ? 'That is all' : 'Cannot see it';
    part('skip').classList.toggle('do', begun);
    part('answers').replaceChildren(...left.map((answer) => {
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'btn answer';
      button.dataset.answer = `${row.id}/${answer.id}`;
      button.textContent = answer.text;
      return button;
    }));
  }

  /** @param {Table} at @param {boolean} asking */
  function verdict(at, asking) {
    const all = effects();
    const stoppers = all.flatMap((e) => e.stoppers);
    const doubts = all.flatMap((e) => e.doubts);
    const state = stoppers.length > 0 ? 'stop' : doubts.length > 0 ? 'if' : 'go';
    for (const word of /** @type {NodeListOf<HTMLElement>} */ (room?.querySelectorAll('[data-verdict]') ?? [])) {
      word.hidden = word.dataset.verdict !== state || now.path.length === 0;
    }
    part('kind').textContent = `${at.name}${asking ? ', so far' : ''}`;
    lines('reasons', [...stoppers, ...doubts, ...(asking ? [] : all.flatMap((e) => e.work))], 'p');
    part('aims').replaceChildren(...Object.keys(at.base).map((aim) => {
      const mean = Math.max(0, all.reduce((sum, e) => sum + e.adds[aim].mean, at.base[aim].mean));
      const upTo = (/** @type {[number, number][]} */ table, /** @type {number} */ value) =>
        (table.find(([most]) => value <= most) ?? table[table.length - 1])?.[1] ?? 0;
      const variance = all.reduce((sum, e) => sum + e.adds[aim].variance, at.base[aim].variance) + upTo(data?.sums.common ?? [], mean);
      const cost = Math.max(0, all.reduce((sum, e) => sum + e.adds[aim].cost, at.base[aim].cost));
      const about = (/** @type {number} */ minutes) => hours(minutes, data?.sums.said ?? []);
      const high = mean + upTo(data?.sums.spread ?? [], variance);
      const sums = [mean, high].map((minutes) => sum(data?.sums.cost ?? [], { materials: cost, minutes, rate: money('rate') ?? 0 }).toFixed(0));
      const tr = document.createElement('tr');
      for (const [text, css] of [[aim, ''], [`${about(mean)}, up to ${about(high)}`, 'n'], [sums[0] === sums[1] ? sums[0] : `${sums[0]} to ${sums[1]}`, 'n']]) {
        const td = document.createElement('td');
        td.textContent = text;
        td.className = css;
        tr.append(td);
      }
      tr.dataset.aim = aim;
      tr.dataset.mean = String(mean);
      tr.dataset.cost = String(cost);
      return tr;
    }));
    price();
    const like = data?.on_shelf[at.kind] ?? 0;
    part('shelf').textContent = like === 0 ? 'None like it on the shelf.' : `${like} like it on the shelf already.`;
    const unsure = asking ? [] : at.rows.filter((r) =>
      now.path.some(([q, a]) => q === r.id && ((a === '' && !r.many) || r.answers.find((x) => x.id === a)?.doubts.length))
      || !now.path.some(([q]) => q === r.id));
    part('before').hidden = unsure.length === 0 || stoppers.length > 0;
    part('before-title').textContent = now.pictures ? 'Pictures to ask for' : 'Look at this before paying';
    lines('before-list', unsure.slice(0, 5).map((r) => (now.pictures ? r.picture : `${r.ask} ${r.look}`)), 'li');
  }

  /** The shop's own rate stands in the field until another is written. */
  function charge() {
    const field = /** @type {HTMLInputElement | null} */ (room?.querySelector('[data-stall-money=rate]'));
    if (field && field.value === '' && (data?.rate ?? 0) > 0) field.value = String(data?.rate);
  }

  function price() {
    const worth = money('worth');
    const work = /** @type {HTMLElement | null} */ (part('aims').querySelector('[data-aim=Work]'))?.dataset;
    if (worth === null) {
      part('price').textContent = '';
      return;
    }
    const materials = Number(work?.cost ?? 0);
    const left = sum(data?.sums.price ?? [],
      { worth, materials, minutes: Number(work?.mean ?? 0), rate: money('rate') ?? 0, selling: money('selling') ?? 0 });
    part('price').textContent = left <= 0 ? 'Not at any price, at that worth.'
      : `Pay at most ${left.toFixed(left < 20 ? 1 : 0)}, to make it work, with about ${materials.toFixed(0)} for materials counted (assumed).`;
  }

  /** @param {string} name */
  function money(name) {
    const field = /** @type {HTMLInputElement} */ (room?.querySelector(`[data-stall-money=${name}]`));
    const value = Number(field.value.replace(',', '.').replace(/[^\d.]/g, ''));
    return field.value.trim() === '' || Number.isNaN(value) ? null : value;
  }

  /** @param {string} name @param {string[]} texts @param {string} tag */
  function lines(name, texts, tag) {
    part(name).replaceChildren(...texts.map((text) =>
      Object.assign(document.createElement(tag), { textContent: text, className: tag === 'p' ? 'small' : '' })));
  }

  room.addEventListener('click', async (event) => {
    const target = event.target instanceof Element ? event.target : null;
    const kind = target?.closest('[data-kind]');
    const answer = target?.closest('[data-answer]');
    if (kind) {
      now = { ...now, kind: kind.getAttribute('data-kind') ?? '', path: [], ended: false };
      await loaded;
    } else if (answer) {
      const [q, a] = (answer.getAttribute('data-answer') ?? '').split('/');
      now.path.push([q, a]);
    } else if (target?.closest('[data-stall-skip]')) {
      const row = next();
      if (row) now.path.push([row.id, '']);
    } else if (target?.closest('[data-stall-back]')) {
      if (now.path.length > 0) now.path.pop();
      else now.kind = '';
    } else if (target?.closest('[data-stall-end]')) now.ended = true;
    else if (target?.closest('[data-stall-again]')) now = { ...now, kind: '', path: [], ended: false };
    else return;
    show();
    keep();
    if (kind || answer) part('ask').hidden ? part('verdict').scrollIntoView({ block: 'start' }) : part('question').focus({ preventScroll: true });
  });
  room.addEventListener('input', (event) => {
    if (event.target instanceof HTMLInputElement && event.target.matches('[data-stall-pictures]')) now.pictures = event.target.checked;
    else show();
    keep();
  });
  part('send').addEventListener('submit', (event) => {
    event.preventDefault();
    const fields = Object.fromEntries([...new FormData(/** @type {HTMLFormElement} */ (part('send')))].filter(([k]) => !k.startsWith('__')));
    const id = `stall-${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`;
    send({ ...fields, id, kind: now.kind, answers: answered().map(([q, a]) => `${q}/${a}`).join(' ') });
    now = { ...now, kind: '', path: [], ended: false };
    /** @type {HTMLFormElement} */ (part('send')).reset();
    show();
    keep();
    resend(true);
  });
  show();
}

/** Minutes in words, to the nearest so many. @param {number} minutes @param {[number, number][]} said */
function hours(minutes, said) {
  const step = said.find(([under]) => minutes < under)?.[1] ?? 1;
  const whole = Math.round(minutes / step) * step;
  const rest = whole % 60 === 0 ? '' : ` ${String(whole % 60).padStart(2, '0')}`;
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h${rest}`;
}
