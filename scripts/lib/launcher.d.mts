export function commandOf(pid: number): string;
export function takeFolder(folder: string): { pid: number; origin: string } | null;
export function noteOrigin(folder: string, origin: string): void;
export function leaveFolder(folder: string): void;
export function weakness(secret: string): string | null;
export function wantsDemo(env?: Record<string, string | undefined>): boolean;
