/** @jsxImportSource preact */
import type { ComponentType } from 'preact';
import { useEffect, useState } from 'preact/hooks';

/** A part that is fetched when it is first shown: Today itself stays small. */
export function Later<P extends object>({
  load,
  props,
  onProblem,
}: {
  load: () => Promise<ComponentType<P>>;
  props: P;
  onProblem: (problem: string) => void;
}) {
  const [part, setPart] = useState<{ Part: ComponentType<P> } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when it is shown
  useEffect(() => {
    load().then(
      (Part) => setPart({ Part }),
      () => onProblem('This could not be opened. Check the network, then try again.'),
    );
  }, []);
  return part && <part.Part {...props} />;
}
