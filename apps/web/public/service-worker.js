// Keeps the shell of the application, so that it can be installed and says something helpful without a network, and all
// of the students' reader and of inspecting, which read without one. Staff's pages and data always come from the server: nothing of a
// lesson is kept here.
const shell = 'hapset-shell-2';
const reader = 'hapset-reader-1';
/** Pages that only read: they work without a network once they were there. */
const readingPages = ['/read', '/inspect'];
const kept = ['/icon.svg', '/offline.html'];

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shell)
      .then((cache) => cache.addAll(kept))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((name) => ![shell, reader].includes(name)).map((name) => caches.delete(name))),
      )
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate')
    event.respondWith(
      readingPages.includes(url.pathname)
        ? newest(request, url.pathname)
        : fetch(request).catch(() => caches.match('/offline.html')),
    );
  else if (url.pathname.startsWith('/assets/')) event.respondWith(asset(event));
});

// The page as the server has it, and as it was kept where there is no network.
async function newest(request, path) {
  const cache = await caches.open(reader);
  try {
    const response = await fetch(request);
    if (response.ok) await cache.put(path, response.clone());
    return response;
  } catch {
    return (await cache.match(path)) ?? caches.match('/offline.html');
  }
}

// Built files never change under their name. Those that the reader asked for are kept, its workers' included.
async function asset(event) {
  const known = await caches.match(event.request, { cacheName: reader });
  if (known) return known;
  const response = await fetch(event.request);
  if (response.ok) event.waitUntil(keepForReader(event, response.clone()));
  return response;
}

// Never waited for by the answer: a worker is told of only when it runs, and it runs only when it has its files.
async function keepForReader({ request, clientId }, response) {
  const client = clientId ? await self.clients.get(clientId) : null;
  if (client && (readingPages.includes(new URL(client.url).pathname) || client.type !== 'window'))
    await (await caches.open(reader)).put(request, response);
}
