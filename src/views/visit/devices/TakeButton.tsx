import { type ReactNode, useId, useState } from 'react';
import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';

/** One setting of a simulated device. */
export interface DeviceField {
  key: string;
  label: string;
  value: string;
  unit?: string;
  /** Named options; a number otherwise. */
  options?: Readonly<Record<string, string>>;
}

interface Props {
  label: string;
  accept: string;
  multiple?: boolean;
  onFiles: (files: File[]) => void;
  device: string;
  fields: readonly DeviceField[];
  /** Takes from the simulated device; answers with a sentence when it could not. */
  onSimulate: (settings: Record<string, string>) => Promise<string | null>;
  /** Other ways to take it; `close` ends the choice. */
  children?: ReactNode | ((close: () => void) => ReactNode);
}

/** One button for a real file and for the simulated device: both go through the same reader. */
export function TakeButton({
  label,
  accept,
  multiple = false,
  onFiles,
  device,
  fields,
  onSimulate,
  children,
}: Props) {
  const id = useId();
  const [values, setValues] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const settings = Object.fromEntries(fields.map((field) => [field.key, values[field.key] ?? field.value]));
  const simulate = async (close: () => void) => {
    setBusy(true);
    const message = await onSimulate(settings);
    setBusy(false);
    setProblem(message);
    if (message === null) close();
  };
  return (
    <DialogTrigger>
      <Button className="press press-main">{label}</Button>
      <Popover className="bg-paper border border-rule p-4 w-[25rem] max-h-[34rem] overflow-y-auto">
        <Dialog aria-label={label} className="outline-none grid gap-3">
          {({ close }) => (
            <>
              <label className="grid gap-1" htmlFor={`${id}-file`}>
                <span className="font-medium">From a file</span>
                <input
                  id={`${id}-file`}
                  type="file"
                  accept={accept}
                  multiple={multiple}
                  onChange={(event) => {
                    const files = [...(event.target.files ?? [])];
                    if (files.length === 0) return;
                    close();
                    onFiles(files);
                  }}
                />
              </label>
              {typeof children === 'function' ? children(close) : children}
              <fieldset className="border-t border-line pt-3 grid gap-2">
                <legend className="font-medium">{device}, simulated</legend>
                <div className="grid grid-cols-2 gap-x-4 gap-y-1.5">
                  {fields.map((field) => (
                    <Setting
                      key={field.key}
                      field={field}
                      value={settings[field.key]!}
                      onChange={(value) => setValues({ ...values, [field.key]: value })}
                    />
                  ))}
                </div>
                {problem && (
                  <p role="alert" className="problem">
                    {problem}
                  </p>
                )}
                <button
                  type="button"
                  className="press justify-self-start"
                  disabled={busy}
                  onClick={() => void simulate(close)}
                >
                  {busy ? 'Taking …' : 'Take from the simulated device'}
                </button>
              </fieldset>
            </>
          )}
        </Dialog>
      </Popover>
    </DialogTrigger>
  );
}

function Setting({
  field,
  value,
  onChange,
}: {
  field: DeviceField;
  value: string;
  onChange: (value: string) => void;
}) {
  const id = useId();
  return (
    <div className="grid grid-cols-[1fr_auto] gap-1 items-baseline">
      <label htmlFor={id} className="text-faint">
        {field.label}
        {field.unit && `, ${field.unit}`}
      </label>
      {field.options ? (
        <select id={id} value={value} onChange={(event) => onChange(event.target.value)}>
          {Object.entries(field.options).map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className="figure w-16 text-right"
          inputMode="decimal"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </div>
  );
}
