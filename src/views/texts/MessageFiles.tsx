import { useState } from 'react';
import { z } from 'zod';

const fileSchema = z.record(z.string(), z.string());

interface Props {
  language: string;
  /** Key and sentence, as they stand now. */
  texts: readonly (readonly [string, string])[];
  onRead: (texts: Readonly<Record<string, string>>) => void;
}

/** A language as a message file, out to a translator and back in. */
export function MessageFiles({ language, texts, onRead }: Props) {
  const [said, setSaid] = useState('');
  const save = () => {
    const file = new Blob([`${JSON.stringify(Object.fromEntries(texts), null, 2)}\n`], {
      type: 'application/json',
    });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = `sheet-${language}.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    const known = new Map(texts);
    const parsed = await file
      .text()
      .then((text) => fileSchema.safeParse(JSON.parse(text)))
      .catch(() => null);
    if (!parsed?.success) {
      setSaid('This is not a message file: a JSON object of sentences by key.');
      return;
    }
    const here = Object.entries(parsed.data).filter(
      ([key, text]) => known.has(key) && known.get(key) !== text,
    );
    const strange = Object.keys(parsed.data).filter((key) => !known.has(key)).length;
    onRead(Object.fromEntries(here));
    setSaid(
      `${here.length} sentences read${strange > 0 ? `; ${strange} that no sheet has were left out` : ''}. Look at them, then keep them.`,
    );
  };
  return (
    <>
      <button type="button" className="press" onClick={save}>
        Save as message file
      </button>
      <label className="press cursor-pointer">
        Read a message file
        <input
          type="file"
          accept="application/json,.json"
          className="sr-only"
          onChange={({ target }) => void read(target.files?.[0])}
        />
      </label>
      {said && <span role="status">{said}</span>}
    </>
  );
}
