// Keeps the stall check at hand when the connection is gone. Nothing else of the shop is kept here. The program fills in what
// is kept, and a name that changes with it.
const name = 'stall-{name}';
const kept = {kept};

self.addEventListener('install', (event) => event.waitUntil(caches.open(name).then((cache) => cache.addAll(kept)).then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(caches.keys()
  .then((all) => Promise.all(all.filter((old) => old !== name).map((old) => caches.delete(old)))).then(() => self.clients.claim())));
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
