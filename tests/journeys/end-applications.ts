import { running, WORKERS } from './server';

/** Ends the applications of all workers, whichever still run. */
export default function endApplications(): void {
  for (let worker = 0; worker < WORKERS; worker += 1)
    try {
      process.kill(running(worker).pid, 'SIGTERM');
    } catch {
      // It was never started, or a story ended it.
    }
}
