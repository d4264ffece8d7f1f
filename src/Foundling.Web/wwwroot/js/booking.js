/** Asks only what the chosen kind of tool has; what was typed in a field that is put away stays in it. */
export function start() {
  document.addEventListener('change', (event) => {
    const kind = event.target instanceof HTMLInputElement && event.target.name === 'Form.Kind' ? event.target : null;
    if (kind?.form) ask(kind.form, kind);
  });
}

/** Fits every book-in form to the kind that is chosen on it. */
export function dress() {
  for (const kind of /** @type {NodeListOf<HTMLInputElement>} */ (document.querySelectorAll('[name="Form.Kind"]:checked'))) {
    if (kind.form) ask(kind.form, kind);
  }
}

/** @param {HTMLFormElement} form @param {HTMLInputElement} kind */
function ask(form, kind) {
  for (const field of /** @type {NodeListOf<HTMLElement>} */ (form.querySelectorAll('[data-for]'))) {
    field.hidden = !(field.dataset.for ?? '').split(' ').includes(kind.value) && !field.classList.contains('bad');
  }
  const length = form.querySelector('[data-length-is]');
  const width = form.querySelector('[data-width-is]');
  if (length) length.textContent = kind.dataset.length ?? '';
  if (width && kind.dataset.width) width.textContent = kind.dataset.width;
}
