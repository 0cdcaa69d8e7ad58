import type { Build, Part } from '../unit/index.ts';

/** Ids of the first parts that answer a question, so that a finding points at something that is there. */
export const partsWhere = (build: Build, ask: (part: Part) => boolean, most = 1): string[] =>
  build.parts
    .filter(ask)
    .slice(0, most)
    .map((p) => p.id);

/** Parts around an opening: its header, or else what hangs in it. */
export const partsAt = (build: Build, openingId: string): string[] => {
  const [wall, id] = openingId.split('/');
  return partsWhere(
    build,
    (p) =>
      p.id.startsWith(`${openingId}/`) ||
      (p.assembly === id && p.role !== 'stop') ||
      (p.assembly === wall && p.role === 'header'),
  );
};
