import { findItem, MESH_LAP, MESHES } from '../stock/index.ts';
import { isSeamOpen } from '../takeoff/index.ts';
import type { MeshFixing, Opening, Part } from '../unit/index.ts';

const SKIN_ROLES = new Set(['siding', 'mesh', 'roofing', 'deck', 'cover']);
/** What goes over the skin's joints and edges. */
const OVER_ROLES = new Set(['batten', 'trim']);
/** What goes on a panel's framing while it lies flat. */
export const isSkin = (p: Part): boolean => SKIN_ROLES.has(p.role) || OVER_ROLES.has(p.role);

/** True for what goes over the skin's joints and edges. */
export const isOver = (p: Part): boolean => OVER_ROLES.has(p.role);

const WIDEST = Math.max(...MESHES.flatMap((m) => m.rolls.map((r) => r.width)));

const MESH_HELD: Readonly<Record<MeshFixing, string>> = {
  washers: 'staple every 3 in, washers at the corners',
  battens: 'staple every 6 in, then a batten over every edge',
  lap: `lap it ${MESH_LAP} in around the edge and staple it there every 3 in`,
};

/** What to mind where a face is wider than any roll. */
const seamText = (meshes: readonly Part[], parts: readonly Part[]): readonly string[] => {
  const open = meshes.filter((p) => isSeamOpen(p, parts));
  const wide = meshes.some((p) => p.bent === undefined && Math.min(p.length, p.width) > WIDEST && !open.includes(p));
  return [
    ...(wide
      ? [
          `Strips as the roll layouts have them: every seam over wood, lapped ${MESH_LAP} in, both strips stapled there.`,
        ]
      : []),
    ...(open.length > 0
      ? [
          `No wood lies where the strips meet: lap them ${MESH_LAP} in and lace them to each other with wire every 2 in.`,
        ]
      : []),
  ];
};

/** Wood is stained before it is hidden. */
const stainFirst = (mesh: boolean, metal: boolean): string =>
  mesh && metal
    ? 'Stain the wood first that mesh and metal will hide.'
    : `Stain the wood first that the ${metal ? 'metal' : 'mesh'} will hide.`;

/** What to mind when a roof or a side is covered: only what is in it. `stained` where the unit is coated in the end. */
export const coverText = (cover: readonly Part[], parts: readonly Part[], stained = false): readonly string[] => {
  const has = (test: (p: Part) => boolean): boolean => cover.some(test);
  const mesh = has((p) => p.role === 'mesh');
  const metal = has((p) => p.item === 'metal');
  return [
    ...(stained && (mesh || metal) ? [stainFirst(mesh, metal)] : []),
    ...seamText(
      cover.filter((p) => p.role === 'mesh'),
      parts,
    ),
    ...(mesh && metal ? ['Mesh in before the metal that covers its edge.'] : []),
    ...(mesh && has((p) => p.role === 'cover') ? ['The tarp goes on after the mesh, tied over it.'] : []),
    ...(metal ? ['Square to the eave, screws in the flats through gaskets.'] : []),
    ...(has((p) => p.item === 'shingle')
      ? ['Felt from the eave up, each strip over the last; courses square to the eave.']
      : []),
    ...(!mesh && !metal && has((p) => p.role === 'siding' || p.role === 'deck')
      ? ['Edges on the middle of a rafter.']
      : []),
  ];
};

/** What to mind when a panel is skinned: mesh first, then sheets, then what goes over their edges. */
export const skinText = (
  skin: readonly Part[],
  parts: readonly Part[],
  openings: readonly Opening[] = [],
  stained = false,
): readonly string[] => {
  const meshes = skin.filter((p) => p.role === 'mesh');
  const boards = skin.filter((p) => p.role !== 'mesh' && !isOver(p));
  const over = skin.filter(isOver);
  return [
    ...(meshes.length > 0 && stained ? [stainFirst(true, false)] : []),
    ...(meshes.length > 0
      ? [
          `Stretch the mesh with a bar through its weave; ${MESH_HELD[meshes.find((p) => p.fixing)?.fixing ?? 'washers']}.`,
          ...seamText(meshes, parts),
        ]
      : []),
    ...(boards.length > 0
      ? [
          ...(openings.some((o) => o.kind === 'nest')
            ? ['Nest blocking and the holes through to the nests are in before the sheet goes on.']
            : []),
          ...(openings.length > 0 && boards.some((p) => findItem(p.item).kind === 'sheet')
            ? ['Trim the sheet flush at the openings with a bearing bit.']
            : []),
        ]
      : []),
    ...(over.length > 0
      ? [`Last the ${over.some((p) => p.role === 'batten') ? 'battens' : 'boards'} over joints and edges.`]
      : []),
  ];
};
