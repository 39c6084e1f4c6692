import Joi from 'joi';

/**
 * The part of JSON Schema 2020-12 that our formats use. The schemas under docs/formats
 * are the one description of a file; validation is made from them, so that the two
 * cannot drift apart.
 */
export interface FormatSchema {
  readonly type?: string | readonly string[];
  readonly enum?: readonly (string | number | boolean | null)[];
  readonly const?: string | number | boolean | null;
  readonly properties?: Readonly<Record<string, FormatSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: boolean | FormatSchema;
  readonly items?: FormatSchema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minLength?: number;
  readonly pattern?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  /** One of the root's definitions: `#/$defs/name`. */
  readonly $ref?: string;
  readonly $defs?: Definitions;
}

type Definitions = Readonly<Record<string, FormatSchema>>;

function objectFrom(schema: FormatSchema, defs: Definitions): Joi.Schema {
  const required = new Set(schema.required ?? []);
  const keys = Object.entries(schema.properties ?? {}).map(([name, property]) => {
    const joi = fromSchema(property, defs);
    return [name, required.has(name) ? joi.required() : joi.optional()] as const;
  });
  const joi = Joi.object(Object.fromEntries(keys));
  const extra = schema.additionalProperties ?? true;
  if (typeof extra === 'boolean') return joi.unknown(extra);
  return joi.pattern(Joi.string().allow(''), fromSchema(extra, defs));
}

function arrayFrom(schema: FormatSchema, defs: Definitions): Joi.Schema {
  // Joi refuses holes, which JSON cannot have.
  let joi = Joi.array();
  if (schema.items !== undefined) joi = joi.items(fromSchema(schema.items, defs));
  if (schema.minItems !== undefined) joi = joi.min(schema.minItems);
  if (schema.maxItems !== undefined) joi = joi.max(schema.maxItems);
  return joi;
}

function stringFrom(schema: FormatSchema): Joi.Schema {
  let joi = Joi.string();
  if ((schema.minLength ?? 0) === 0) joi = joi.allow('');
  if (schema.pattern !== undefined) joi = Joi.string().pattern(new RegExp(schema.pattern, 'u'));
  return joi;
}

function numberFrom(schema: FormatSchema, type: string): Joi.Schema {
  let joi = type === 'integer' ? Joi.number().integer() : Joi.number();
  if (schema.minimum !== undefined) joi = joi.min(schema.minimum);
  if (schema.maximum !== undefined) joi = joi.max(schema.maximum);
  return joi;
}

function joiOfType(schema: FormatSchema, type: string, defs: Definitions): Joi.Schema {
  switch (type) {
    case 'object':
      return objectFrom(schema, defs);
    case 'array':
      return arrayFrom(schema, defs);
    case 'string':
      return stringFrom(schema);
    case 'number':
    case 'integer':
      return numberFrom(schema, type);
    case 'boolean':
      return Joi.boolean();
    default:
      throw new Error(`Schema type ${type} is not supported`);
  }
}

function fromSchema(schema: FormatSchema, defs: Definitions): Joi.Schema {
  if (schema.$ref !== undefined) {
    const definition = defs[schema.$ref.replace('#/$defs/', '')];
    if (definition === undefined) throw new Error(`${schema.$ref} is not defined`);
    return fromSchema(definition, defs);
  }
  if (schema.const !== undefined) return Joi.valid(schema.const);
  if (schema.enum !== undefined) return Joi.valid(...schema.enum);
  const types = typeof schema.type === 'string' ? [schema.type] : (schema.type ?? []);
  const named = types.filter((type) => type !== 'null');
  const [first] = named;
  if (named.length !== 1 || first === undefined) {
    throw new Error('A format schema names one type, or one type and null');
  }
  const joi = joiOfType(schema, first, defs);
  return types.includes('null') ? joi.allow(null) : joi;
}

/**
 * A validator that gives the same verdict as the schema.
 *
 * @param schema one of ours
 * @returns the validator; it throws for a type that it does not know, which would be our own bug
 */
export const joiFromSchema = (schema: FormatSchema): Joi.Schema =>
  fromSchema(schema, schema.$defs ?? {});
