const REACH = 22;

/** A part too small for a finger. @param {Element} part */
const small = (part) => {
  const box = part.getBoundingClientRect();
  return Math.min(box.width, box.height) < REACH * 2;
};

/**
 * What a finger means: a part too small for it takes the taps round it, the nearest first.
 * @param {Event} event
 * @param {Element | null} hit
 * @returns {Element | null}
 */
const meant = (event, hit) => {
  if (!(event instanceof MouseEvent) || event.detail === 0 || !matchMedia('(pointer: coarse)').matches || (hit && small(hit))) return hit;
  for (let far = 6; far <= REACH; far += 4) {
    for (let spoke = 0; spoke < 12; spoke++) {
      const x = event.clientX + far * Math.cos(spoke * Math.PI / 6), y = event.clientY + far * Math.sin(spoke * Math.PI / 6);
      const near = document.elementFromPoint(x, y)?.closest('[data-parts] [data-part]');
      if (near && near !== hit && small(near)) return near;
    }
  }
  return hit;
};

/** Choosing a part on a drawing, by tap or by Enter, leads to the page of that part. */
export function start() {
  /** @param {Event} event */
  const choose = (event) => {
    if (!(event.target instanceof Element) || !event.target.closest('[data-parts] svg')) return;
    const part = meant(event, event.target.closest('[data-parts] [data-part]'));
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
