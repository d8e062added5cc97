import type { ProblemDetails } from './operation';

export type DeviceAnswer = { ok: true; file: File } | { ok: false; message: string };

/** A file from a simulated device, under the name the device gives it. Never throws. */
export async function takeFrom(
  device: string,
  settings: Readonly<Record<string, string | number>>,
  signal?: AbortSignal,
): Promise<DeviceAnswer> {
  const query = new URLSearchParams(Object.entries(settings).map(([key, value]) => [key, String(value)]));
  try {
    const response = await fetch(`/api/v1/devices/${device}?${query}`, { signal: signal ?? null });
    if (!response.ok) {
      const problem = (await response.json().catch(() => null)) as ProblemDetails | null;
      const details = problem?.errors?.map((error) => error.message).join(' ');
      return { ok: false, message: details || problem?.title || 'The device did not answer.' };
    }
    const name = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? device;
    const blob = await response.blob();
    return { ok: true, file: new File([blob], name, { type: blob.type }) };
  } catch {
    return { ok: false, message: 'The device cannot be reached. Nothing is lost; try again.' };
  }
}
