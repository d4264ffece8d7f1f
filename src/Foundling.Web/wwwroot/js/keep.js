/**
 * Keeps what is typed in forms marked `data-keep` until they were taken, so that a reload, a crash or a lost
 * connection loses nothing. Files cannot be kept.
 */
const key = (/** @type {Element} */ form) => `keep:${form.getAttribute('data-keep')}`;
const skip = new Set(['_once', '__RequestVerificationToken']);

/** @param {HTMLFormElement} form */
function values(form) {
  /** @type {[string, string][]} */
  const kept = [];
  for (const [name, value] of new FormData(form)) {
    if (typeof value === 'string' && !skip.has(name)) kept.push([name, value]);
  }
  return kept;
}

export function keep() {
  document.addEventListener('input', (event) => {
    const form = event.target instanceof Element ? /** @type {HTMLFormElement | null} */ (event.target.closest('form[data-keep]')) : null;
    if (form) localStorage.setItem(key(form), JSON.stringify(values(form)));
  });
}

/** A link marked `data-forget` inside a form lets go of what was typed there before it is followed. */
export function letGo() {
  document.addEventListener('click', (event) => {
    const link = event.target instanceof Element ? event.target.closest('[data-forget]') : null;
    const form = link?.closest('form[data-keep]');
    if (form) forget(form);
  });
}

/** Forgets what was kept for a form that was taken. @param {Element} form */
export function forget(form) {
  if (form.hasAttribute('data-keep')) localStorage.removeItem(key(form));
}

/** Puts back what was typed before a reload. A form that the server sent back with its values is left alone. */
export function restoreKept() {
  for (const form of /** @type {NodeListOf<HTMLFormElement>} */ (document.querySelectorAll('form[data-keep]'))) {
    const text = localStorage.getItem(key(form));
    if (!text || form.querySelector('.field.bad')) continue;
    /** @type {Map<string, number>} */
    const seen = new Map();
    for (const [name, value] of JSON.parse(text)) {
      const nth = seen.get(name) ?? 0;
      seen.set(name, nth + 1);
      const fields = /** @type {NodeListOf<HTMLInputElement>} */ (form.querySelectorAll(`[name="${CSS.escape(name)}"]`));
      const radio = [...fields].find((f) => f.type === 'radio' || f.type === 'checkbox');
      if (radio) {
        const chosen = [...fields].find((f) => f.value === value);
        if (chosen) chosen.checked = true;
      } else if (fields[nth] && fields[nth].type !== 'hidden' && fields[nth].value !== value) {
        fields[nth].value = value;
        // What was half typed is shown, not hidden in something folded away.
        for (let fold = form.closest('details'); fold; fold = fold.parentElement?.closest('details') ?? null) fold.open = true;
      }
    }
  }
}
