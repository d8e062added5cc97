/** @jsxImportSource preact */
import type { ComponentChildren } from 'preact';

/** A large button, for a thumb. */
export function Press({
  children,
  on,
  onPress,
  kind = 'plain',
  disabled = false,
}: {
  children: ComponentChildren;
  /** Pressed or not; absent where it does something at once. */
  on?: boolean;
  onPress: () => void;
  kind?: 'plain' | 'main' | 'warn';
  disabled?: boolean;
}) {
  const looks = {
    plain: 'border-rule',
    main: 'border-accent bg-accent text-on-accent',
    warn: 'border-warn text-warn font-semibold',
  }[kind];
  return (
    <button
      type="button"
      aria-pressed={on}
      disabled={disabled}
      onClick={onPress}
      class={`relative min-h-14 px-4 py-2 border-2 w-full text-balance leading-tight aria-pressed:bg-desk aria-pressed:border-ink disabled:opacity-60 ${looks}`}
    >
      {on && (
        <span aria-hidden class="absolute top-0.5 end-1.5">
          ✓
        </span>
      )}
      {children}
    </button>
  );
}

export function Lines({ lines }: { lines: readonly string[] }) {
  return (
    <ul class="list-disc ps-5 grid gap-1">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** A part that opens on a press; what is not needed each day stays shut. */
export function Fold({
  title,
  isOpen = false,
  children,
}: {
  title: string;
  isOpen?: boolean;
  children: ComponentChildren;
}) {
  return (
    <details open={isOpen} class="border-t border-rule">
      <summary class="min-h-14 py-3 font-semibold cursor-pointer">{title}</summary>
      <div class="pb-4 grid gap-2">{children}</div>
    </details>
  );
}

/** Markup of a drawing that our own server made. */
export function Drawing({ svg, className = '' }: { svg: string; className?: string }) {
  // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the server from numbers, never from what somebody wrote
  return <div class={className} dangerouslySetInnerHTML={{ __html: svg }} />;
}

/** A scale with words at both ends. */
export function Scale({
  label,
  most,
  value,
  ends,
  onChange,
}: {
  label: string;
  most: number;
  value: number | null;
  ends: readonly [string, string];
  onChange: (value: number) => void;
}) {
  return (
    <label class="grid gap-1">
      <span>
        {label}: <strong>{value === null ? '–' : value}</strong>
      </span>
      <input
        type="range"
        class="w-full h-11"
        min={0}
        max={most}
        step={most === 100 ? 5 : 1}
        value={value ?? Math.round(most / 2)}
        onInput={(event) => onChange(Number(event.currentTarget.value))}
        onPointerUp={(event) => onChange(Number(event.currentTarget.value))}
      />
      <span class="flex justify-between text-faint">
        <span>0, {ends[0]}</span>
        <span>
          {most}, {ends[1]}
        </span>
      </span>
    </label>
  );
}
