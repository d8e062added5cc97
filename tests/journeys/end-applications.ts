import { running, WORKERS } from './server';

/** Ends the applications of all workers, whichever still run. */
export default function endApplications(): void {
  for (let worker = 0; worker < WORKERS; worker += 1)
    try {
      const { pid } = running(worker);
      // Nobody has one yet where the preparing failed; 0 would be everybody.
      if (pid > 0) process.kill(pid, 'SIGTERM');
    } catch {
      // It was never prepared, or a story ended it.
    }
}
