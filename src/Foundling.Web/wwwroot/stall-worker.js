// Keeps the stall check at hand when the connection is gone. Nothing else of the shop is kept here.
const name = 'stall-4';
const kept = ['/stall', '/stall?handler=Data', '/css/app.css', '/icon.svg', '/fonts/archivo.woff2', '/fonts/besley.woff2',
  ...['main', 'shortcuts', 'clock', 'keep', 'swap', 'parts', 'files', 'bands', 'pad', 'count', 'stall', 'narrow', 'booking', 'zoom'].map((file) => `/js/${file}.js`)];

self.addEventListener('install', (event) => event.waitUntil(caches.open(name).then((cache) => cache.addAll(kept)).then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET' || url.origin !== location.origin || !kept.includes(url.pathname + url.search)) return;
  event.respondWith(
    fetch(event.request)
      .then((answer) => {
        if (answer.ok && !answer.redirected) {
          const copy = answer.clone();
          event.waitUntil(caches.open(name).then((cache) => cache.put(url.pathname + url.search, copy)));
        }
        return answer;
      })
      .catch(() => caches.match(url.pathname + url.search).then((hit) => hit ?? Response.error())),
  );
});
