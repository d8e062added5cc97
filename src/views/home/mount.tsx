/** @jsxImportSource preact */
import { render } from 'preact';
import { z } from 'zod';
import { DOOR_WORDS } from '@/core/home/home-words';
import { HomeApp } from './HomeApp';

const doorSchema = z.record(z.enum(DOOR_WORDS), z.string());

/** What this page is made of, for the worker that keeps it for when there is no connection. */
function keepForLater(registration: ServiceWorkerRegistration): void {
  const own = performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter(({ origin, pathname }) => origin === location.origin && !pathname.startsWith('/api/'))
    .map(({ pathname }) => pathname);
  registration.active?.postMessage({ keep: [...new Set(own)] });
}

/** Shows the patient’s own page in an element that carries the words of its door. */
export function mountHome(root: HTMLElement): void {
  const door = doorSchema.parse(JSON.parse(root.dataset.words ?? '{}'));
  render(<HomeApp door={door} />, root);
  if (!('serviceWorker' in navigator)) return;
  void navigator.serviceWorker
    .register('/home-worker.js', { scope: '/home' })
    .then(() => navigator.serviceWorker.ready)
    .then((registration) => {
      keepForLater(registration);
      // Faces and pictures that came after.
      setTimeout(() => keepForLater(registration), 3000);
    })
    .catch(() => null);
}
