/** Shows running time; the clock itself is kept by the server. */
export function clock() {
  const two = (/** @type {number} */ n) => String(n).padStart(2, '0');
  const tick = () => {
    for (const element of document.querySelectorAll('[data-since]')) {
      const seconds = Math.max(0, Math.floor((Date.now() - Number(element.getAttribute('data-since'))) / 1000));
      const hours = Math.floor(seconds / 3600);
      const minutes = Math.floor(seconds / 60) % 60;
      element.textContent = hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
    }
  };
  tick();
  setInterval(tick, 1000);
}
