export const pause: (ms: number) => Promise<void>;
export const isAlive: (pid: number) => boolean;
export const isStill: (pid: number, word: string) => boolean;
export const endProcess: (pid: number, patience?: number) => Promise<void>;
export const readNote: (path: string) => Record<string, unknown> | undefined;
export const writeNote: (path: string, note: Readonly<Record<string, unknown>>) => void;
export const dropNote: (path: string) => void;
export const backoff: (n: number) => number;
