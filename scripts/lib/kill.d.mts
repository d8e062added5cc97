export function signalPostgres(folder: string, signal: NodeJS.Signals): void;
