import { forget } from './keep.js';

/** How long to wait before sending again while someone else is saving, ms. */
const AGAIN = [400, 900, 1800, 3000];

/**
 * Sends every posted form (but those marked `data-plain`) without leaving the page and exchanges the page's content for the
 * answer. A form is sent once however often it is clicked. When the connection fails, the store is busy or something is
 * refused as a whole, the form stays as it is, the reason is said, and it can be sent again.
 * @param {() => void} dress what to set up anew afterwards
 */
export function swap(dress) {
  const said = document.getElementById('said');
  /** @param {string} text */
  const say = (text) => {
    if (!said) return;
    said.textContent = text;
    said.hidden = text === '';
    if (text) document.getElementById('main')?.prepend(said);
  };

  document.addEventListener('submit', async (event) => {
    const form = /** @type {HTMLFormElement} */ (event.target);
    if (event.defaultPrevented || form.method !== 'post' || form.matches('[data-plain], [data-stall-send]')) return;
    event.preventDefault();
    if (form.hasAttribute('aria-busy')) return;
    const submitter = /** @type {HTMLButtonElement | null} */ (event.submitter);
    const body = new FormData(form);
    if (submitter?.name) body.append(submitter.name, submitter.value);
    const focus = form.dataset.focus ? { label: form.dataset.focus } : remember(submitter);
    hold(form, true);
    say('');
    try {
      const answer = await send(submitter?.getAttribute('formaction') ?? form.action, body, say);
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      const fault = page.querySelector('[data-fault]');
      const fresh = page.getElementById('main');
      if (fault || !fresh) {
        hold(form, false);
        say(fault?.textContent?.trim() ?? 'The answer cannot be read. What you typed is kept here; send it again.');
        return;
      }
      if (answer.redirected) {
        // Led to the door instead: nothing was taken.
        if (new URL(answer.url).pathname !== '/signin') forget(form);
        const to = new URL(answer.url), here = to.pathname === location.pathname;
        if (!here || !form.matches('[data-swap]')) {
          const same = here && to.search === location.search;
          location.assign(answer.url);
          // Led to the page as it stands, it is fetched anew: a part of it alone would not do that.
          if (same) location.reload();
          return;
        }
        history.replaceState(null, '', answer.url);
      }
      document.getElementById('main')?.replaceWith(fresh);
      const top = page.querySelector('header.top');
      if (top) document.querySelector('header.top')?.replaceWith(top);
      document.title = page.title;
      dress();
      restore(focus);
    } catch {
      hold(form, false);
      say('No connection to the shop. What you typed is kept here; send it again when the connection is back.');
    }
  });
}

/**
 * Sends a form; while someone else is saving it is sent again by itself. Its key makes it count once.
 * @param {string} to @param {FormData} body @param {(text: string) => void} say
 */
async function send(to, body, say) {
  for (const wait of AGAIN) {
    const answer = await fetch(to, { method: 'POST', body });
    if (answer.status !== 503) return answer;
    say('Someone is saving; what you typed is here and is sent again in a moment.');
    await new Promise((done) => setTimeout(done, wait));
  }
  return fetch(to, { method: 'POST', body });
}

/** @param {HTMLFormElement} form @param {boolean} busy */
function hold(form, busy) {
  form.toggleAttribute('aria-busy', busy);
  for (const button of form.querySelectorAll('button')) button.disabled = busy;
}

/** @param {Element | null} element */
function remember(element) {
  return { label: element?.getAttribute('aria-label'), text: element?.textContent?.trim() };
}

/** Puts the focus on the first fault, or on the page. @param {{label?: string | null, text?: string}} focus */
function restore(focus) {
  const bad = /** @type {HTMLElement | null} */ (document.querySelector('.field.bad input, .field.bad textarea, .field.bad select'));
  const same = focus.label ? /** @type {HTMLElement | null} */ (document.querySelector(`[aria-label="${CSS.escape(focus.label)}"]`)) : null;
  const next = /** @type {HTMLElement | null} */ (document.querySelector('#main details[open] summary'));
  (bad ?? same ?? next ?? document.getElementById('main'))?.focus({ preventScroll: !bad });
}
