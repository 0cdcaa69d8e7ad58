interface Where {
  readonly url: string;
  readonly files?: string;
}
export interface Manifest {
  readonly format: string;
  readonly version: number;
  readonly app: string;
  readonly made: string;
  readonly migration: string;
  readonly tables: Readonly<Record<string, number>>;
  readonly dump: string;
  readonly files: Readonly<Record<string, string>>;
}
export const BACKUP_VERSION: number;
export const makeBackup: (options: Where & { readonly folder?: string; readonly label?: string }) => Promise<string>;
export const openBackup: (file: string, into: string) => Promise<Manifest>;
export const restoreBackup: (options: Where & { readonly file: string; readonly newest?: string }) => Promise<Manifest>;
export const listBackups: (folder?: string) => readonly { readonly file: string; readonly at: Date }[];
export const isBackupDue: (now?: Date, folder?: string) => boolean;
export const pruneBackups: (folder?: string) => readonly string[];
