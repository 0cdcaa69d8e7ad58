import type { ParamDef } from '../model/index.ts';
import { FAMILIES, FITTING_RANGE, stylesOf } from '../model/index.ts';

const paramSchema = (def: ParamDef): Record<string, unknown> => {
  const about = { title: def.label, ...(def.help ? { description: def.help } : {}), default: def.default };
  switch (def.kind) {
    case 'length':
      // A length may also be written as text with its unit.
      return {
        ...about,
        anyOf: [
          { type: 'number', minimum: def.min, maximum: def.max },
          { type: 'string', minLength: 1 },
        ],
      };
    case 'count':
      return { ...about, type: 'integer', minimum: def.min, maximum: def.max };
    case 'choice':
      return { ...about, enum: def.choices.map((c) => c.value) };
    case 'flag':
      return { ...about, type: 'boolean' };
  }
};

const lengthSchema = ([minimum, maximum]: readonly [number, number]) => ({
  anyOf: [
    { type: 'number', minimum, maximum },
    { type: 'string', minLength: 1 },
  ],
});

const fittingSchema = (f: (typeof FAMILIES)[number]): Record<string, unknown> => ({
  type: 'object',
  required: ['id', 'kind', 'wall', 'left', 'bottom', 'width', 'height'],
  additionalProperties: false,
  properties: {
    id: { type: 'string', pattern: '^[a-z][a-z0-9-]{0,30}$' },
    kind: { enum: [...f.carries.kinds] },
    style: { enum: [...new Set(f.carries.kinds.flatMap((k) => stylesOf(f.carries, k)))] },
    wall: { enum: [...f.carries.walls] },
    left: lengthSchema(FITTING_RANGE.left),
    bottom: lengthSchema(FITTING_RANGE.bottom),
    width: lengthSchema(FITTING_RANGE.width),
    height: lengthSchema(FITTING_RANGE.height),
  },
});

/** JSON Schema (2020-12) of a spec file, made from the parameter tables. */
export const specSchema = (): Record<string, unknown> => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Rubbet model spec',
  description:
    'One unit: its family, the schema number of its parameters, and the parameters that differ from the defaults. Lengths in inches.',
  oneOf: FAMILIES.map((f) => ({
    type: 'object',
    title: f.title,
    description: f.purpose,
    required: ['family'],
    additionalProperties: false,
    properties: {
      $schema: { type: 'string' },
      family: { const: f.key },
      schema: { type: 'integer', minimum: 1, maximum: f.schema },
      params: {
        type: 'object',
        additionalProperties: false,
        properties: Object.fromEntries(f.params.map((p) => [p.key, paramSchema(p)])),
      },
      fittings: {
        type: 'array',
        description:
          'Fittings put on its walls by hand. One with the id of a fitting of the parameters takes its place.',
        ...(f.carries.walls.length === 0 ? { maxItems: 0 } : {}),
        items: f.carries.walls.length === 0 ? false : fittingSchema(f),
      },
      mirrored: { type: 'boolean', description: 'Left and right exchanged.' },
      locked: {
        type: 'array',
        description: 'Parameters that are settled, which an editor leaves alone.',
        uniqueItems: true,
        items: { enum: f.params.map((p) => p.key) },
      },
    },
  })),
});
