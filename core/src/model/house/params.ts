import type { Side } from '../../unit/index.ts';
import { BOUGHT, printRough } from '../../stock/index.ts';
import type { ParamDef, Shown } from '../params.ts';
import { USUAL_HOUSE } from './types.ts';
import type { HouseParams } from './types.ts';

type Key = Exclude<keyof HouseParams, 'length' | 'depth'>;

const SIDES: Record<Side, string> = { front: 'Front', back: 'Back', left: 'Left', right: 'Right' };

/** What a family changes in the shared house table. */
export interface HouseTable {
  /** Parameters that it does not offer. */
  readonly omit?: readonly Key[];
  readonly defaults?: Partial<Record<Key, string | number | boolean>>;
  /** Other ranges of lengths and counts. */
  readonly ranges?: Partial<Record<Key, readonly [number, number]>>;
  /** Choices that are left of a parameter's. */
  readonly choices?: Partial<Record<Key, readonly (string | number)[]>>;
  /** Offers doors and windows bought in their frames: its walls are high enough for them. */
  readonly bought?: boolean;
  /** Its gable may be carried by a beam at the ridge: when that is asked. */
  readonly ridge?: 'always' | Shown;
  /** Walls that each kind of fitting may stand in. */
  readonly walls?: Partial<
    Record<'doorWall' | 'windowWall' | 'popWall' | 'nestWall' | 'cleanOutWall', readonly (Side | 'none')[]>
  >;
}

const onCentre = [
  { value: 16, label: '16″' },
  { value: 24, label: '24″' },
] as const;

/** Bought doors or windows to choose from, with the rough opening that each wants. */
const boughtOf = (kind: 'door' | 'window') =>
  BOUGHT.filter((b) => b.kind === kind).map((b) => ({ value: b.key, label: printRough(b) }));

/** The shared house table: walls, openings, nests, roosts and roof, with a family's own defaults and ranges. */
export const houseParams = (table: HouseTable): readonly ParamDef[] => {
  const value = (key: Key): string | number | boolean =>
    table.defaults?.[key] ?? (key === 'roofHeld' ? 'chosen' : USUAL_HOUSE[key]);
  const length = (
    key: Key,
    label: string,
    group: string,
    range: readonly [number, number],
    more: { help?: string; showWhen?: ParamDef['showWhen'] } = {},
  ): ParamDef => {
    const [min, max] = table.ranges?.[key] ?? range;
    return { key, label, group, kind: 'length', min, max, step: 0.5, default: value(key) as number, ...clean(more) };
  };
  const count = (
    key: Key,
    label: string,
    group: string,
    range: readonly [number, number],
    showWhen?: ParamDef['showWhen'],
  ): ParamDef => {
    const [min, max] = table.ranges?.[key] ?? range;
    return { key, label, group, kind: 'count', min, max, default: value(key) as number, ...clean({ showWhen }) };
  };
  const choice = (
    key: Key,
    label: string,
    group: string,
    choices: readonly { value: string | number; label: string }[],
    showWhen?: ParamDef['showWhen'],
  ): ParamDef => ({
    key,
    label,
    group,
    kind: 'choice',
    choices: choices.filter((c) => table.choices?.[key]?.includes(c.value) ?? true),
    default: value(key) as string | number,
    ...clean({ showWhen }),
  });
  const flag = (key: Key, label: string, group: string, help?: string, showWhen?: ParamDef['showWhen']): ParamDef => ({
    key,
    label,
    group,
    kind: 'flag',
    default: value(key) as boolean,
    ...clean({ help, showWhen }),
  });
  const wall = (
    key: 'doorWall' | 'windowWall' | 'popWall' | 'nestWall' | 'cleanOutWall',
    label: string,
    group: string,
    none: string,
  ): ParamDef =>
    choice(
      key,
      label,
      group,
      (table.walls?.[key] ?? ['front', 'back', 'left', 'right', 'none']).map((s) => ({
        value: s,
        label: s === 'none' ? none : SIDES[s],
      })),
    );
  const standing = (key: 'doorWall' | 'windowWall' | 'popWall' | 'nestWall' | 'cleanOutWall') => ({
    key,
    is: (table.walls?.[key] ?? (['front', 'back', 'left', 'right'] as const)).filter((side) => side !== 'none'),
  });

  /** While a door or window is one that is bought, or one that is made. */
  const unit = (key: 'doorStyle' | 'windowStyle', bought: boolean): Shown => ({
    key,
    is: bought ? ['bought'] : key === 'doorStyle' ? ['single', 'double', 'dutch'] : ['mesh', 'sliding', 'top-hung'],
  });
  const made = (wall: 'doorWall' | 'windowWall', style: 'doorStyle' | 'windowStyle'): readonly Shown[] =>
    table.bought ? [standing(wall), unit(style, false)] : [standing(wall)];

  const all: readonly ParamDef[] = [
    choice('studSpacing', 'Studs on centre', 'Walls', onCentre),
    choice('siding', 'Siding', 'Walls', [
      { value: 'siding-5/8', label: '⅝″ grooved' },
      { value: 'ply-1/2', label: '½″ ply' },
      { value: 'batten-strips', label: 'Ply with battens' },
      { value: 'board-batten', label: 'Board and batten' },
      { value: 'rough-boards', label: 'Rough-sawn boards' },
      { value: 'lap', label: 'Lap boards' },
    ]),
    choice('trim', 'Corner trim', 'Walls', [
      { value: 'boards', label: '1×4 boards' },
      { value: 'ply rips', label: 'Rips from offcuts' },
    ]),
    wall('doorWall', 'People door in', 'Openings', 'No door'),
    choice(
      'doorStyle',
      'Door',
      'Openings',
      [
        { value: 'single', label: 'Single' },
        { value: 'double', label: 'Double' },
        { value: 'dutch', label: 'Dutch' },
        ...(table.bought ? [{ value: 'bought', label: 'Bought in its frame' }] : []),
      ],
      standing('doorWall'),
    ),
    ...(table.bought
      ? [
          choice('doorUnit', 'Door bought', 'Openings', boughtOf('door'), [
            standing('doorWall'),
            unit('doorStyle', true),
          ]),
        ]
      : []),
    length('doorWidth', 'Door, rough width', 'Openings', [20, 60], { showWhen: made('doorWall', 'doorStyle') }),
    length('doorHeight', 'Door, rough height', 'Openings', [24, 74], { showWhen: made('doorWall', 'doorStyle') }),
    length('threshold', 'Threshold', 'Openings', [0, 12], {
      help: 'Above the floor; 8 to 10″ holds deep litter, 0 lets a barrow roll in: the plate is sawn out.',
    }),
    choice('doorOpens', 'Door opens', 'Openings', [
      { value: 'outward', label: 'Outward' },
      { value: 'inward', label: 'Inward' },
    ]),
    flag('insideRelease', 'Release on the inside', 'Openings'),
    wall('windowWall', 'Window in', 'Openings', 'No window'),
    choice(
      'windowStyle',
      'Window',
      'Openings',
      [
        { value: 'mesh', label: 'Mesh only' },
        { value: 'sliding', label: 'Sliding' },
        { value: 'top-hung', label: 'Top hung' },
        ...(table.bought ? [{ value: 'bought', label: 'Bought in its frame' }] : []),
      ],
      standing('windowWall'),
    ),
    ...(table.bought
      ? [
          choice('windowUnit', 'Window bought', 'Openings', boughtOf('window'), [
            standing('windowWall'),
            unit('windowStyle', true),
          ]),
        ]
      : []),
    length('windowWidth', 'Window, rough width', 'Openings', [10, 48], { showWhen: made('windowWall', 'windowStyle') }),
    length('windowHeight', 'Window, rough height', 'Openings', [8, 36], {
      showWhen: made('windowWall', 'windowStyle'),
    }),
    wall('popWall', 'Pop door in', 'Openings', 'No pop door'),
    length('popWidth', 'Pop door, width', 'Openings', [9, 14], { showWhen: standing('popWall') }),
    length('popHeight', 'Pop door, height', 'Openings', [11, 16], { showWhen: standing('popWall') }),
    flag('popMotor', 'Motor on pop door', 'Openings'),
    ...(table.bought
      ? [
          flag('popInDoor', 'Pop door in the leaf', 'Openings', 'In the leaf of the people door, not in a wall.', [
            standing('doorWall'),
            { key: 'doorStyle', is: ['single'] },
          ]),
        ]
      : []),
    wall('cleanOutWall', 'Clean-out in', 'Openings', 'No clean-out'),
    choice(
      'cleanOutStyle',
      'Clean-out is',
      'Openings',
      [
        { value: 'slot', label: 'A sweep slot' },
        { value: 'doors', label: 'Wall of doors' },
      ],
      standing('cleanOutWall'),
    ),
    length('cleanOutWidth', 'Clean-out, width', 'Openings', [16, 72], {
      showWhen: standing('cleanOutWall'),
      help: 'A slot is 9″ high at the floor; doors are as high as the wall.',
    }),
    flag('doorBraces', 'Angles in walls of doors', 'Openings', 'Holds a wall square that doors take most of.'),
    wall('nestWall', 'Nests on wall', 'Nests', 'None'),
    choice(
      'nestStyle',
      'Nest row',
      'Nests',
      [
        { value: 'outside lid', label: 'Outside, lid' },
        { value: 'drop front', label: 'Outside, drop front' },
        { value: 'inside', label: 'Inside, lift off' },
      ],
      standing('nestWall'),
    ),
    count('nestCount', 'Nest boxes', 'Nests', [1, 6], standing('nestWall')),
    length('nestWidth', 'Nest, width', 'Nests', [10, 16], { showWhen: standing('nestWall') }),
    length('nestDepth', 'Nest, depth', 'Nests', [10, 16], { showWhen: standing('nestWall') }),
    length('nestBottom', 'Nest floor', 'Nests', [4, 24], {
      help: 'Above the house floor.',
      showWhen: standing('nestWall'),
    }),
    count('roostBars', 'Roost bars', 'Nests', [0, 5]),
    length('roostHeight', 'Roost height', 'Nests', [12, 48], { help: 'Above the house floor.' }),
    length('roostStep', 'Each bar lower by', 'Nests', [0, 10], { help: '0 sets all bars at one height.' }),
    choice('roostKind', 'Roosts are', 'Nests', [
      { value: 'flat', label: '2×4 flat' },
      { value: 'pole', label: 'Round poles' },
      { value: 'shelf', label: 'A shelf' },
    ]),
    flag('droppingsBoard', 'Droppings board', 'Nests', 'Under the bars, scraped every morning.'),
    count('hangers', 'Hanging chains', 'Nests', [0, 4]),
    count('nipples', 'Nipples on a water bar', 'Nests', [0, 12]),
    flag('ladder', 'Ladder to the roost', 'Nests', 'Lifted off for cleaning.'),
    choice('roofCover', 'Roof', 'Roof', [
      { value: 'metal', label: 'Ribbed metal' },
      { value: 'shingle', label: 'Shingles' },
    ]),
    flag('underlay', 'Felt under the metal', 'Roof', 'Keeps drip off the deck; shingles always have it.', {
      key: 'roofCover',
      is: ['metal'],
    }),
    choice('rafterSpacing', 'Rafters on centre', 'Roof', onCentre),
    ...(table.ridge
      ? [
          choice(
            'roofHeld',
            'A gable is held by',
            'Roof',
            [
              { value: 'chosen', label: 'What it needs' },
              { value: 'ties', label: 'Ties at the plates' },
              { value: 'beam', label: 'A ridge beam' },
            ],
            table.ridge === 'always' ? undefined : table.ridge,
          ),
        ]
      : []),
    length('overhangFront', 'Front overhang', 'Roof', [3, 24]),
    length('overhangBack', 'Back overhang', 'Roof', [3, 16]),
    length('overhangSide', 'Side overhang', 'Roof', [2.5, 12]),
    choice('eaves', 'Eave gap', 'Roof', [
      { value: 'mesh', label: 'Meshed vent' },
      { value: 'blocked', label: 'Blocked' },
    ]),
    flag('gutters', 'Gutters', 'Roof'),
    flag('cupola', 'Cupola on the ridge', 'Roof', 'Lets warm, damp air out at the top.'),
  ];
  return all.filter((p) => !table.omit?.includes(p.key as Key));
};

/** Drops entries that are undefined, which optional properties may not be. */
const clean = (more: { help?: string | undefined; showWhen?: ParamDef['showWhen'] | undefined }) => ({
  ...(more.help === undefined ? {} : { help: more.help }),
  ...(more.showWhen === undefined ? {} : { showWhen: more.showWhen }),
});

/** A length parameter in the Size group. */
export const sizeParam = (
  key: string,
  label: string,
  range: readonly [number, number],
  value: number,
  help?: string,
  step = 0.5,
): ParamDef => ({
  key,
  label,
  group: 'Size',
  kind: 'length',
  min: range[0],
  max: range[1],
  step,
  default: value,
  ...clean({ help }),
});

/** A choice parameter. */
export const choiceParam = (
  key: string,
  label: string,
  group: string,
  choices: readonly (readonly [string | number, string])[],
  value: string | number,
  more: { help?: string; showWhen?: ParamDef['showWhen'] } = {},
): ParamDef => ({
  key,
  label,
  group,
  kind: 'choice',
  choices: choices.map(([v, l]) => ({ value: v, label: l })),
  default: value,
  ...clean(more),
});
