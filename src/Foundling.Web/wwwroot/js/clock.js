/** Shows running time from what the server counted; the clock itself is kept by the server, so this machine's own clock does not matter. */
export function clock() {
  /** @type {WeakMap<Element, number>} When each reading came, by a source no change of the clock moves. */
  const came = new WeakMap();
  const two = (/** @type {number} */ n) => String(n).padStart(2, '0');
  const tick = () => {
    for (const element of document.querySelectorAll('[data-ran]')) {
      const now = performance.now();
      if (!came.has(element)) came.set(element, now);
      const seconds = Number(element.getAttribute('data-ran')) + Math.floor((now - (came.get(element) ?? now)) / 1000);
      const hours = Math.floor(seconds / 3600);
      const minutes = Math.floor(seconds / 60) % 60;
      element.textContent = hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
    }
  };
  tick();
  setInterval(tick, 1000);
}
