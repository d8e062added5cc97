import { type SubmitEvent, useState } from 'react';
import { z } from 'zod';
import { failureInWords } from '@/contract/answer';
import { Field, FormProblem } from '@/ui/fields/Field';
import { postJson } from '../post-json';

const enabledSchema = z.object({ totpURI: z.string(), backupCodes: z.array(z.string()) });

interface Started {
  picture: string;
  secret: string;
  codes: readonly string[];
}

/**
 * A second factor of one’s own: a code that a device shows, and recovery codes for the day the device is lost.
 *
 * @param after where to go on once it is set up
 */
export function SecondFactor({ enabled, after }: { enabled: boolean; after?: string }) {
  const [on, setOn] = useState(enabled);
  const [started, setStarted] = useState<Started | null>(null);
  const [problem, setProblem] = useState<string>();
  const [said, setSaid] = useState('');
  const typed = (event: SubmitEvent<HTMLFormElement>, name: string): string => {
    event.preventDefault();
    return String(new FormData(event.currentTarget).get(name));
  };
  const wrongPassword = (answer: Exclude<Awaited<ReturnType<typeof postJson>>, { ok: true }>) =>
    setProblem(answer.kind === 'refused' ? 'This is not your password.' : failureInWords(answer));

  const start = async (event: SubmitEvent<HTMLFormElement>) => {
    const answer = await postJson('/api/auth/two-factor/enable', { password: typed(event, 'password') });
    if (!answer.ok) return wrongPassword(answer);
    const { totpURI, backupCodes } = enabledSchema.parse(answer.value);
    const qr = await import('qrcode');
    const svg = await qr.toString(totpURI, { type: 'svg', margin: 1 });
    setProblem(undefined);
    setStarted({
      picture: `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`,
      secret: new URL(totpURI).searchParams.get('secret') ?? '',
      codes: backupCodes,
    });
  };
  const verify = async (event: SubmitEvent<HTMLFormElement>) => {
    const code = typed(event, 'code').replace(/\s/g, '');
    const answer = await postJson('/api/auth/two-factor/verify-totp', { code });
    if (!answer.ok)
      return setProblem(
        answer.kind === 'refused'
          ? 'This code is not right: look at the clock of your device.'
          : failureInWords(answer),
      );
    if (after) return location.assign(after);
    setProblem(undefined);
    setStarted(null);
    setOn(true);
    setSaid('From now on your sign-in asks for a code.');
  };
  const stop = async (event: SubmitEvent<HTMLFormElement>) => {
    const answer = await postJson('/api/auth/two-factor/disable', { password: typed(event, 'password') });
    if (!answer.ok) return wrongPassword(answer);
    setProblem(undefined);
    setOn(false);
    setSaid('Your sign-in asks for the password alone.');
  };

  const password = (label: string, onSubmit: (event: SubmitEvent<HTMLFormElement>) => void) => (
    <form onSubmit={onSubmit} className="flex gap-3 items-end">
      <Field label="Your password">
        {(control) => <input name="password" type="password" autoComplete="current-password" {...control} />}
      </Field>
      <button type="submit" className="press">
        {label}
      </button>
    </form>
  );
  return (
    <section aria-labelledby="second-factor" className="border-t border-rule pt-2 mt-5">
      <h2 id="second-factor">Second factor</h2>
      <p className="text-faint">
        {on
          ? 'After the password, sign-in asks for a code that your device shows.'
          : 'A code from your device as well as the password: a stolen password alone is then not enough.'}
      </p>
      <p role="status">{said}</p>
      {started ? (
        <div className="grid md:grid-cols-[12rem_1fr] gap-6 my-3">
          <img src={started.picture} alt="Square code for an authenticator" className="w-48 h-48 bg-white" />
          <div className="grid gap-3 content-start">
            <p>
              Scan this with an authenticator on your device, or type{' '}
              <code className="break-all">{started.secret}</code>.
            </p>
            <p>Keep these recovery codes where the device is not. Each opens once:</p>
            <ul aria-label="Recovery codes" className="grid grid-cols-2 gap-x-6 figure max-w-xs">
              {started.codes.map((code) => (
                <li key={code}>{code}</li>
              ))}
            </ul>
            <form onSubmit={verify} className="flex gap-3 items-end">
              <Field label="Code that it shows now">
                {(control) => (
                  <input
                    name="code"
                    inputMode="numeric"
                    autoComplete="one-time-code"
                    className="w-28"
                    {...control}
                  />
                )}
              </Field>
              <button type="submit" className="press press-main">
                Switch on
              </button>
            </form>
          </div>
        </div>
      ) : on ? (
        password('Switch off', stop)
      ) : (
        password('Begin', start)
      )}
      <FormProblem message={problem} />
    </section>
  );
}
