/** Choosing a part on a drawing, by tap or by Enter, leads to the page of that part. */
export function start() {
  /** @param {Event} event */
  const choose = (event) => {
    const part = event.target instanceof Element ? event.target.closest('[data-parts] [data-part]') : null;
    if (!part) return;
    event.preventDefault();
    const page = part.closest('[data-parts]')?.getAttribute('data-parts');
    const apart = new URLSearchParams(location.search).get('Apart') === 'True' ? '&Apart=True' : '';
    location.href = `${page}?Part=${encodeURIComponent(part.getAttribute('data-part') ?? '')}${apart}#find`;
  };
  document.addEventListener('click', choose);
  document.addEventListener('keydown', (event) => {
    if (event.key === 'Enter' || event.key === ' ') choose(event);
  });
  document.addEventListener('change', (event) => {
    if (!(event.target instanceof Element)) return;
    if (event.target.closest('form[data-part-choice]')) /** @type {HTMLFormElement} */ (event.target.closest('form')).submit();
  });
}
