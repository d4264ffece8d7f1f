/** Counts down to the moment by which what came out of a bath must be oiled; the moment is absolute, so sleep and reload change nothing. */
export function dress() {
  const left = /** @type {HTMLElement | null} */ (document.querySelector('.run [data-until]'));
  if (!left) return;
  const until = Number(left.dataset.until);
  const show = () => {
    if (!left.isConnected) return;
    const seconds = Math.ceil((until - Date.now()) / 1000), late = seconds <= 0, s = Math.abs(seconds);
    left.textContent = `${late ? '−' : ''}${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
    left.closest('.run')?.classList.toggle('late', late);
    setTimeout(show, 250);
  };
  show();
}
