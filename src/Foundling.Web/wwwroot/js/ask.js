/** @type {AbortController | null} */
let asking = null;

/**
 * Asks for the page as a form has it now and exchanges what follows from it; what is being typed stays as it is typed.
 * @param {HTMLFormElement} form @param {string} part what is exchanged
 */
export async function ask(form, part) {
  asking?.abort();
  asking = new AbortController();
  const query = new URLSearchParams();
  for (const [key, value] of new FormData(form)) if (!key.startsWith('_') && value !== '') query.append(key, String(value));
  const held = document.activeElement instanceof Element ? document.activeElement.closest('[data-piece], [data-field]') : null;
  const again = held && (held.hasAttribute('data-piece') ? 'data-piece' : 'data-field'), name = again && held.getAttribute(again);
  try {
    const answer = await fetch(`${location.pathname}?${query}`, { signal: asking.signal });
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const fresh = page.querySelector(part), old = document.querySelector(part);
    const active = document.activeElement, typing = active instanceof HTMLInputElement && active.type === 'text' ? active.value : null;
    if (!fresh || !old) return;
    old.replaceWith(fresh);
    // What cannot be is said at its field, which stays where it is.
    for (const said of form.querySelectorAll('.fault[id]')) {
      said.textContent = page.getElementById(said.id)?.textContent ?? '';
      said.closest('.field')?.classList.toggle('bad', said.textContent !== '');
    }
    history.replaceState(null, '', `${location.pathname}?${query}`);
    const same = active?.id && !active.isConnected ? document.getElementById(active.id) : null;
    same?.focus();
    if (typing !== null && same instanceof HTMLInputElement) same.value = typing;
    if (name) /** @type {SVGElement | null} */ (document.querySelector(`[${again}="${CSS.escape(name)}"]`))?.focus();
  } catch (fault) {
    if (!(fault instanceof DOMException && fault.name === 'AbortError')) throw fault;
  }
}
