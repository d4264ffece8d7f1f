/** Narrows a list to the rows that have every word typed; a group without a row left goes with its rows. */
export function start() {
  document.addEventListener('input', (event) => {
    const box = event.target instanceof HTMLInputElement && event.target.matches('[data-narrow]') ? event.target : null;
    const list = box?.closest('[data-narrowed]');
    if (!box || !list) return;
    const words = box.value.toLowerCase().split(/\s+/).filter(Boolean);
    let left = 0;
    for (const row of /** @type {NodeListOf<HTMLElement>} */ (list.querySelectorAll('[data-narrow-row]'))) {
      const text = (row.textContent ?? '').toLowerCase();
      row.hidden = !words.every((word) => text.includes(word));
      left += row.hidden ? 0 : 1;
    }
    for (const group of /** @type {NodeListOf<HTMLElement>} */ (list.querySelectorAll('tbody'))) {
      group.hidden = !group.querySelector('[data-narrow-row]:not([hidden])');
    }
    const count = list.querySelector('[data-narrow-count]');
    if (count) count.textContent = words.length === 0 ? '' : left === 0 ? 'none has that' : `${left} left`;
  });
}
