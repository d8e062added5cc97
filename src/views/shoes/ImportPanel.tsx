import { useRef, useState } from 'react';
import type { ImportLine } from '@/contract/records';
import type { CatalogueReport } from '@/core/catalogue/catalogue-entry';
import { DataTable } from '@/ui/table/DataTable';
import type { CatalogueCheck, CatalogueCheckQuestion } from '@/workers/catalogue-worker';
import { useTask } from '../use-task';
import { importFile } from './import-file';

const start = () =>
  new Worker(new URL('../../workers/catalogue-worker.ts', import.meta.url), { type: 'module' });

type Sending =
  | { is: 'no' }
  | { is: 'sending'; rows: number }
  | { is: 'done'; finished: Extract<ImportLine, { finished: object }>['finished'] }
  | { is: 'failed'; why: string };

/** A file is read here first, with what is wrong by row and column; only then is it sent, all or nothing. */
export function ImportPanel({ columns }: { columns: { name: string; required: boolean; about: string }[] }) {
  const [file, setFile] = useState<File | null>(null);
  const [check, setCheck] = useState<CatalogueCheck | null>(null);
  const [sending, setSending] = useState<Sending>({ is: 'no' });
  const task = useTask<CatalogueCheckQuestion, CatalogueCheck>(start);
  const abort = useRef<AbortController | null>(null);
  const look = async (chosen: File) => {
    setFile(chosen);
    setCheck(null);
    setSending({ is: 'no' });
    setCheck(await task.ask({ file: chosen, today: new Date().toISOString().slice(0, 10) }));
  };
  const send = async () => {
    if (!file) return;
    abort.current = new AbortController();
    setSending({ is: 'sending', rows: 0 });
    const result = await importFile(file, abort.current.signal, (rows) =>
      setSending({ is: 'sending', rows }),
    );
    setSending(
      result.ok ? { is: 'done', finished: result.value } : { is: 'failed', why: result.problem.message },
    );
  };
  return (
    <div className="grid grid-cols-[1fr_22rem] gap-8">
      <section aria-labelledby="import" className="grid gap-3 content-start">
        <h2 id="import">Import</h2>
        <p className="flex flex-wrap gap-3 items-baseline">
          <label className="press cursor-pointer focus-within:outline-2 focus-within:outline-accent">
            Choose a file
            <input
              type="file"
              className="sr-only"
              accept=".csv,.tsv,.txt,.json,text/csv,application/json"
              onChange={({ target }) => {
                const chosen = target.files?.[0];
                target.value = '';
                if (chosen) void look(chosen);
              }}
            />
          </label>
          <span className="text-faint">CSV or JSON. It is read here first; nothing is sent yet.</span>
        </p>
        {task.state.is === 'working' && (
          <p role="status" className="flex gap-3 items-center">
            <progress value={task.state.share} max={1} aria-label="Reading the file" /> {task.state.stage}
            <button type="button" className="press" onClick={task.cancel}>
              Cancel
            </button>
          </p>
        )}
        {task.state.is === 'cancelled' && <p role="status">Cancelled. Nothing was sent.</p>}
        {task.state.is === 'failed' && (
          <p role="alert" className="problem">
            {task.state.problem.message}
          </p>
        )}
        {file && check && (
          <>
            <Report name={file.name} report={check.report} />
            {check.report.errorCount === 0 && (
              <>
                <ul className="text-sm" aria-label="First models of the file">
                  {check.first.map((entry) => (
                    <li key={entry.title}>
                      {entry.title}{' '}
                      <span className="text-faint">
                        {entry.sizes}, {entry.features} features
                      </span>
                    </li>
                  ))}
                </ul>
                {sending.is === 'no' && (
                  <button type="button" className="press press-main justify-self-start" onClick={send}>
                    Import {check.report.entries} models
                  </button>
                )}
              </>
            )}
          </>
        )}
        {sending.is === 'sending' && (
          <p role="status" className="flex gap-3 items-center">
            <progress value={sending.rows} max={check?.report.rows ?? 1} aria-label="Importing" />{' '}
            {sending.rows} of {check?.report.rows} rows
            <button type="button" className="press" onClick={() => abort.current?.abort()}>
              Cancel
            </button>
          </p>
        )}
        {sending.is === 'failed' && (
          <p role="alert" className="problem">
            {sending.why}
          </p>
        )}
        {sending.is === 'done' && (
          <p role="status">
            {sending.finished.imported
              ? `${sending.finished.added} added, ${sending.finished.changed} changed.`
              : 'Nothing was changed.'}{' '}
            {sending.finished.notes.join(' ')}
            {sending.finished.errorCount > 0 && <Report name={file?.name ?? ''} report={sending.finished} />}
          </p>
        )}
        <h2>Export</h2>
        <p className="flex gap-3">
          <a className="press" href="/api/v1/catalogue?format=csv" download>
            As CSV
          </a>
          <a className="press" href="/api/v1/catalogue?format=json" download>
            As JSON
          </a>
        </p>
        <p className="text-faint max-w-prose">
          Every value keeps its source and day, as in “8.5 @bench 2031-05-20”. Anything that looks like a
          formula is given a leading apostrophe.
        </p>
      </section>
      <section aria-labelledby="columns">
        <h2 id="columns">Columns of the CSV</h2>
        <dl className="text-sm max-h-[70vh] overflow-y-auto" tabIndex={0} aria-label="Columns">
          {columns.map((column) => (
            <div key={column.name} className="border-b border-line py-0.5">
              <dt className="font-medium">
                {column.name}
                {column.required && <span className="text-faint font-normal"> required</span>}
              </dt>
              <dd className="text-faint">{column.about}</dd>
            </div>
          ))}
        </dl>
      </section>
    </div>
  );
}

function Report({ name, report }: { name: string; report: CatalogueReport }) {
  return (
    <div className="grid gap-1">
      <p role="status">
        <strong>{name}</strong>: {report.rows} rows, {report.entries} models
        {report.errorCount > 0 &&
          `, ${report.errorCount} errors: nothing is imported until all are corrected`}
        . <span className="text-faint">{report.notes.join(' ')}</span>
      </p>
      {report.errors.length > 0 && (
        <div className="max-h-72 overflow-y-auto" tabIndex={0} role="region" aria-label="Errors of the file">
          <DataTable
            spacing="tight"
            rows={report.errors}
            keyOf={(error) => `${error.row} ${error.column} ${error.message}`}
            columns={[
              { id: 'row', head: 'Row', figure: true, cell: (error) => error.row },
              { id: 'column', head: 'Column', cell: (error) => error.column },
              {
                id: 'wrong',
                head: 'What is wrong',
                cell: (error) => (
                  <>
                    {error.message}
                    {error.suggestion && <span className="text-faint"> {error.suggestion}</span>}
                  </>
                ),
              },
            ]}
          />
          {report.errorCount > report.errors.length && (
            <p className="text-faint">{report.errorCount - report.errors.length} more.</p>
          )}
        </div>
      )}
    </div>
  );
}
