import { forget } from './keep.js';

/**
 * Sends forms marked `data-swap` without leaving the page and exchanges the page's content for the answer. A form is
 * sent once however often it is clicked; when the connection fails, it stays as it is and can be sent again.
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
    if (event.defaultPrevented || !form.matches('form[data-swap]')) {
      if (form.method === 'post') requestAnimationFrame(() => hold(form, true));
      return;
    }
    event.preventDefault();
    if (form.hasAttribute('aria-busy')) return;
    const submitter = /** @type {HTMLButtonElement | null} */ (event.submitter);
    const body = new FormData(form);
    if (submitter?.name) body.append(submitter.name, submitter.value);
    const focus = form.dataset.focus ? { label: form.dataset.focus } : remember(submitter);
    hold(form, true);
    say('');
    try {
      const answer = await fetch(submitter?.getAttribute('formaction') ?? form.action, { method: 'POST', body });
      const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
      const fresh = page.getElementById('main');
      if (!fresh) throw new Error('no page');
      if (answer.redirected) {
        forget(form);
        if (new URL(answer.url).pathname !== location.pathname) {
          location.href = answer.url;
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
