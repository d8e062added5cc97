import { useEffect, useState } from 'react';

/** Ten minutes are enough. */
const MOST_SECONDS = 600;

/** How long the tests have taken, beside how many are done. */
export function BenchClock({ done, of }: { done: number; of: number }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const begun = Date.now();
    const timer = setInterval(() => setSeconds(Math.round((Date.now() - begun) / 1000)), 1000);
    return () => clearInterval(timer);
  }, []);
  const minutes = Math.floor(seconds / 60);
  return (
    <p className={`mt-2 text-sm ${seconds > MOST_SECONDS ? 'text-hold' : 'text-faint'}`}>
      {done} of {of} done,{' '}
      <span className="figure">
        {minutes}:{String(seconds % 60).padStart(2, '0')}
      </span>{' '}
      of 10 minutes
    </p>
  );
}
