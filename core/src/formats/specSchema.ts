import type { ParamDef } from '../model/index.ts';
import { FAMILIES } from '../model/index.ts';

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
    },
  })),
});
