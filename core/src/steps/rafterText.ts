import type { Part } from '../unit/index.ts';

/** What a framer is told when the rafters of a roof or of half of one go up. `all` are the parts of the whole unit. */
export const rafterText = (framing: readonly Part[], all: readonly Part[]): readonly string[] => {
  const ties = framing.filter((p) => p.role === 'tie');
  return [
    framing.some((p) => p.notches.length > 1 && p.role === 'rafter')
      ? 'Rafters over studs, crown up; each tied to both plates.'
      : all.some((p) => p.role === 'ridge' && p.name === 'ridge beam')
        ? 'The ridge beam first, on its posts and braced; rafters crown up, each hung against its side at the height of the opposite one.'
        : all.some((p) => p.role === 'ridge')
          ? 'Rafters crown up, each with its opposite one against the ridge; both slopes stand before either is covered.'
          : 'Rafters crown up; each tied down where it sits.',
    ...(ties.length > 0
      ? [
          `Ties ${[...new Set(ties.map((p) => p.mark))].join(', ')} on both plates beside their rafters, nailed before anything is laid on the roof: they keep the plates from spreading.`,
        ]
      : []),
  ];
};
