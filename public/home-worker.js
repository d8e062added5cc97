// Keeps the patient's own page for when there is no connection: the empty page, its code and its faces, and nothing of a person.
const STORE = 'home-1';
const PAGE = '/home';

self.addEventListener('install', (event) => {
  self.skipWaiting();
  event.waitUntil(caches.open(STORE).then((store) => store.add(PAGE)));
});

self.addEventListener('activate', (event) => {
  const tidy = async () => {
    for (const name of await caches.keys()) if (name !== STORE) await caches.delete(name);
    await self.clients.claim();
  };
  event.waitUntil(tidy());
});

self.addEventListener('message', (event) => {
  const { keep } = event.data;
  const take = async () => {
    const store = await caches.open(STORE);
    await Promise.all(
      keep.map(async (path) => (await store.match(path)) ?? store.add(path).catch(() => null)),
    );
  };
  if (Array.isArray(keep)) event.waitUntil(take());
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/api/')) return;
  const page = async () => {
    try {
      const fresh = await fetch(request);
      if (fresh.ok) await (await caches.open(STORE)).put(PAGE, fresh.clone());
      return fresh;
    } catch {
      return (await caches.match(PAGE)) ?? Response.error();
    }
  };
  const part = async () => (await caches.match(request)) ?? fetch(request);
  event.respondWith(request.mode === 'navigate' ? page() : part());
});
