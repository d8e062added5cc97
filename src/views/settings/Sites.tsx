import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { type SiteRecord, siteSchema } from '@/contract/people-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';

/** Places of the clinic where patients are seen; a clinic in one place needs none. */
export function Sites({ sites }: { sites: readonly SiteRecord[] }) {
  const [list, setList] = useState(sites);
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, refuse, reset, formState } = useApiForm(siteSchema, {
    name: '',
    place: '',
  });
  const { errors, isSubmitting } = formState;
  const refresh = async () => {
    const answer = await call('sites', {});
    if (answer.ok) setList(answer.value);
  };
  const add = handleSubmit(async (body) => {
    const answer = await call('addSite', { body });
    if (!answer.ok) return refuse(answer);
    reset();
    await refresh();
  });
  const close = async ({ id, closed }: SiteRecord) => {
    const answer = await call('changeSite', { params: { id }, body: { closed: !closed } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    await refresh();
  };
  return (
    <section aria-labelledby="sites" className="border-t border-rule pt-2 mt-5">
      <h2 id="sites">Sites</h2>
      <p className="text-faint">
        Where the clinic sees patients in more than one place. Each colleague says in Settings where they
        work; a visit, its sheet and Today follow from that. Shoes and rules are the whole clinic’s.
      </p>
      <ul className="my-2">
        {list.map((site) => (
          <li
            key={site.id}
            className="grid md:grid-cols-[14rem_1fr_auto] gap-3 items-baseline border-b border-line py-1"
          >
            <strong>{site.name}</strong>
            <span className={site.closed ? 'text-faint' : ''}>
              {site.place}
              {site.closed && ', closed'}
            </span>
            <button
              type="button"
              className="press"
              aria-label={`${site.closed ? 'Open again' : 'Close'}: ${site.name}`}
              onClick={() => void close(site)}
            >
              {site.closed ? 'Open again' : 'Close'}
            </button>
          </li>
        ))}
      </ul>
      <form onSubmit={add} noValidate className="flex gap-3 items-end">
        <Field label="Name of the site" error={errors.name?.message}>
          {(control) => <input {...register('name')} {...control} />}
        </Field>
        <Field label="Its place" error={errors.place?.message}>
          {(control) => <input {...register('place')} {...control} />}
        </Field>
        <button type="submit" className="press" disabled={isSubmitting}>
          Add the site
        </button>
      </form>
      <FormProblem message={errors.root?.message ?? problem} />
    </section>
  );
}
