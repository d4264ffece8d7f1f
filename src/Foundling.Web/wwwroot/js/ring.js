/**
 * Rings when a look is due or something must be out: a note of the system and three short tones, where that was allowed. The moments are
 * absolute, so they hold through sleep and reload; each rings once in this window.
 */
const CHECK = 5000, LATE = 10 * 60 * 1000;

/** @returns {Set<string>} */
const rung = () => new Set(JSON.parse(sessionStorage.getItem('rung') ?? '[]'));

/** @type {AudioContext | null} */
let sound = null;

/** Three short tones. */
function tones() {
  if (!sound) return;
  for (const after of [0, 0.3, 0.6]) {
    const tone = sound.createOscillator(), loud = sound.createGain();
    tone.frequency.value = 880;
    loud.gain.value = 0.2;
    tone.connect(loud).connect(sound.destination);
    tone.start(sound.currentTime + after);
    tone.stop(sound.currentTime + after + 0.15);
  }
}

/** Rings for whatever came due since the last check. */
function check() {
  const now = Date.now(), done = rung();
  for (const due of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('[data-ring]'))) {
    const at = Number(due.dataset.ring), text = due.dataset.ringText ?? '', key = `${text}@${at}`;
    if (at > now || at < now - LATE || done.has(key)) continue;
    done.add(key);
    sessionStorage.setItem('rung', JSON.stringify([...done]));
    if ('Notification' in window && Notification.permission === 'granted') new Notification(text);
    tones();
    document.title = `${text} · ${document.title}`;
  }
}

/** The button that asks is there while it was not answered. */
export function dress() {
  const ask = /** @type {HTMLButtonElement | null} */ (document.querySelector('[data-ring-ask]'));
  if (ask) ask.hidden = !('Notification' in window) || Notification.permission === 'denied' || (Notification.permission === 'granted' && sound !== null);
  check();
}

export function start() {
  setInterval(check, CHECK);
  document.addEventListener('visibilitychange', check);
  document.addEventListener('click', async (event) => {
    const ask = event.target instanceof Element ? event.target.closest('[data-ring-ask]') : null;
    if (!ask) return;
    // A browser lets a page sound only after a touch.
    sound = new AudioContext();
    tones();
    if ('Notification' in window) await Notification.requestPermission();
    dress();
  });
}
