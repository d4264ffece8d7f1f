/** Single-key shortcuts: links and buttons that carry `data-key`, space for the clock, `?` held shows the list. */
export function shortcuts() {
  const dialog = /** @type {HTMLDialogElement | null} */ (document.getElementById('keys'));

  /** @param {EventTarget | null} target */
  const typing = (target) => target instanceof HTMLElement
    && target.closest('input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]');

  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (event.key === '?') {
      if (dialog && !dialog.open) dialog.showModal();
      return;
    }
    if (dialog?.open) return;
    if (event.key === ' ' && !(event.target instanceof Element && event.target.closest('a, button, summary, input, [role=button], [role=slider]'))) {
      const button = /** @type {HTMLElement | null} */ (document.querySelector('[data-clock-button=stop]')
        ?? document.querySelector('[data-clock-button=start]'));
      if (button) {
        event.preventDefault();
        button.click();
      }
      return;
    }
    if (event.key === 'f') {
      const find = /** @type {HTMLElement | null} */ (document.querySelector('input[type=search]'));
      event.preventDefault();
      if (find) find.focus();
      else location.href = '/shelf';
      return;
    }
    if (event.key === 'm') {
      const field = /** @type {HTMLElement | null} */ (document.querySelector('[data-measure]'));
      if (field) {
        event.preventDefault();
        field.focus();
      }
      return;
    }
    const target = /** @type {HTMLElement | null} */ (document.querySelector(`[data-key="${CSS.escape(event.key)}"]`));
    if (target) {
      event.preventDefault();
      target.click();
    }
  });
  document.addEventListener('keyup', (event) => {
    if (dialog?.open && (event.key === '?' || event.key === 'Shift')) dialog.close();
  });
}
