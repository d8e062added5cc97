import { beforeEach, describe, expect, it, vi } from 'vitest';
import { draftStore } from '../draft-store';
import { guardSignOut } from './sign-out';

const as = (person: string) => {
  document.documentElement.dataset.person = person;
};

function page() {
  document.body.innerHTML = `<form data-sign-out><button>Sign out</button></form>
    <dialog data-unsaved></dialog>`;
  const form = document.querySelector('form')!;
  const dialog = document.querySelector('dialog')!;
  const left = vi.spyOn(form, 'submit').mockImplementation(() => undefined);
  guardSignOut();
  const press = () => {
    const event = new Event('submit', { cancelable: true });
    form.dispatchEvent(event);
    return event.defaultPrevented;
  };
  const answer = (value: string) => {
    dialog.returnValue = value;
    dialog.dispatchEvent(new Event('close'));
  };
  return { press, answer, left, dialog };
}

beforeEach(() => {
  localStorage.clear();
  as('anna');
});

describe('what this browser keeps', () => {
  it('belongs to whoever typed it: a colleague reads none of it', () => {
    draftStore.keep('visit:1:ask', { mass: 80 });
    as('boris');
    expect(draftStore.read('visit:1:ask')).toBeNull();
    draftStore.keep('visit:1:ask', { mass: 95 });
    as('anna');
    expect(draftStore.read('visit:1:ask')).toEqual({ mass: 80 });
  });
});

describe('signing out', () => {
  it('goes at once where everything is saved', () => {
    expect(page().press()).toBe(false);
  });

  it('warns of unsaved work; staying keeps it', () => {
    draftStore.keep('visit:1:ask', { mass: 80 });
    const { press, answer, left, dialog } = page();
    expect(press()).toBe(true);
    expect(dialog.open).toBe(true);
    answer('stay');
    expect(left).not.toHaveBeenCalled();
    expect(draftStore.count()).toBe(1);
  });

  it('leaving removes one’s own work from this browser, and nobody else’s', () => {
    draftStore.keep('visit:1:ask', { mass: 80 });
    as('boris');
    draftStore.keep('visit:1:ask', { mass: 95 });
    as('anna');
    const { press, answer, left } = page();
    press();
    answer('leave');
    expect(left).toHaveBeenCalledOnce();
    expect(draftStore.count()).toBe(0);
    as('boris');
    expect(draftStore.count()).toBe(1);
  });
});
