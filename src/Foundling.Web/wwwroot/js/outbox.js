/** Checks from a stall that became tags wait in this browser until the shop has taken them, each once, whatever page is open. */
const queueKey = 'stall:queue';

export function outbox() {
  addEventListener('online', () => resend());
  resend();
}

/** @returns {Record<string, string>[]} */
const queue = () => JSON.parse(localStorage.getItem(queueKey) ?? '[]');
const put = (/** @type {Record<string, string>[]} */ items) => localStorage.setItem(queueKey, JSON.stringify(items));

/** Puts a check among those that wait. @param {Record<string, string>} item */
export const send = (item) => put([...queue(), item]);

let sending = false;
/** @type {ReturnType<typeof setTimeout> | undefined} */
let again;

/** Sends what waits, one after another, and looks again while something is left. @param {boolean} [go] whether to open the tag it became */
export async function resend(go = false) {
  clearTimeout(again);
  if (sending) return;
  sending = true;
  let to = '';
  try {
    while (queue().length > 0) {
      const [item, ...rest] = queue();
      const page = await (await fetch('/stall', { cache: 'no-store' })).text();
      const token = new DOMParser().parseFromString(page, 'text/html')
        .querySelector('[data-stall-send] [name=__RequestVerificationToken]')?.getAttribute('value');
      const body = new FormData();
      for (const [name, value] of Object.entries({ ...item, _once: item.id, __RequestVerificationToken: token ?? '' })) {
        if (name !== 'id') body.append(name, value);
      }
      const answer = await fetch('/stall?handler=Keep', { method: 'POST', body });
      if (!answer.redirected) throw new Error('not taken');
      put(rest);
      to = answer.url;
    }
  } catch {
    again = setTimeout(resend, 8000);
  } finally {
    sending = false;
  }
  const waiting = /** @type {HTMLElement | null} */ (document.querySelector('[data-stall-waiting]'));
  if (waiting) {
    waiting.hidden = queue().length === 0 && !to;
    waiting.textContent = queue().length > 0
      ? `${queue().length} waiting to be sent to the shop. Kept here until the connection is back.` : 'Sent to the shop.';
  }
  if (go && to) location.href = to;
}
