import { getPriority, setPriority } from 'node:os';

/** Gives way to other processes by so much, or by more where whoever started the application has said so: only down is allowed. */
export const giveWay = (nice: number): void => setPriority(Math.max(nice, getPriority()));
