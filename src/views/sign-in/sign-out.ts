import { draftStore } from '../draft-store';

/** Signing out forgets what this browser kept of the person; what the server does not have yet is warned of first. */
export function guardSignOut(): void {
  const form = document.querySelector<HTMLFormElement>('form[data-sign-out]');
  const dialog = document.querySelector<HTMLDialogElement>('dialog[data-unsaved]');
  if (!form || !dialog) return;
  form.addEventListener('submit', (event) => {
    if (draftStore.count() === 0) return;
    event.preventDefault();
    dialog.returnValue = 'stay';
    dialog.showModal();
  });
  dialog.addEventListener('close', () => {
    if (dialog.returnValue !== 'leave') return;
    draftStore.dropAll();
    form.submit();
  });
}
