/** As much of a Valibot schema as is read here. */
export interface SchemaLike {
  type: string;
  pipe?: readonly unknown[];
  entries?: Readonly<Record<string, unknown>>;
  key?: string;
  options?: readonly unknown[];
  wrapped?: unknown;
  item?: unknown;
  value?: unknown;
  literal?: unknown;
}

interface StepLike {
  type: string;
  requirement?: unknown;
  metadata?: { unit?: string };
}

const bare = (schema: SchemaLike): SchemaLike =>
  schema.type === 'optional' || schema.type === 'nullable' ? bare(schema.wrapped as SchemaLike) : schema;

/** The member of a variant that a value is of; undefined where it is of none. */
function memberOf(schema: SchemaLike, value: unknown): SchemaLike | undefined {
  const key = schema.key ?? 'kind';
  const kind = (value as Record<string, unknown> | null | undefined)?.[key];
  return (schema.options as readonly SchemaLike[]).find((own) => {
    const said = own.entries?.[key] as SchemaLike | undefined;
    // A member that need not say its kind is the one of a value that does not say it.
    return said !== undefined && (bare(said).literal === kind || (kind === undefined && said.type === 'optional'));
  });
}

/**
 * The schema of what is at a dotted path of a value; an entry of a list is named by its `id` or its place.
 *
 * @param value which member of a variant holds is found from it; null where there is none
 * @returns undefined where the schema has nothing of that path
 */
export function schemaAt(schema: SchemaLike, value: unknown, path: readonly string[]): SchemaLike | undefined {
  const [key, ...rest] = path;
  if (key === undefined) return schema;
  const inner = bare(schema);
  const at = (of: unknown, own: unknown) => (of ? schemaAt(of as SchemaLike, own, rest) : undefined);
  const record = (value ?? {}) as Record<string, unknown>;
  switch (inner.type) {
    case 'object':
    case 'loose_object':
    case 'strict_object':
      return at(inner.entries?.[key], record[key]);
    case 'variant': {
      const member = memberOf(inner, value);
      return member && schemaAt(member, value, path);
    }
    case 'record':
      return at(inner.value, record[key]);
    case 'array': {
      const list = Array.isArray(value) ? value : [];
      const named = list.find((entry) => (entry as { id?: unknown } | null)?.id === key);
      return at(inner.item, named ?? list[Number(key)]);
    }
    default:
      return undefined;
  }
}

/** What a number may be. */
export interface Bounds {
  least: number;
  most: number;
  /** mm, N, kg, °, %; empty where it has none. */
  unit: string;
  whole: boolean;
  /** Nothing may stand there. */
  nullable: boolean;
}

/** What the number at a path of a value may be; null where no number is there. */
export function boundsOf(schema: SchemaLike, value: unknown, path: string): Bounds | null {
  const found = schemaAt(schema, value, path.split('.'));
  const inner = found && bare(found);
  if (!found || inner?.type !== 'number') return null;
  const steps = (inner.pipe ?? []) as readonly StepLike[];
  const requirement = (type: string) => steps.find((step) => step.type === type)?.requirement;
  return {
    least: Number(requirement('min_value') ?? 0),
    most: Number(requirement('max_value') ?? Number.MAX_SAFE_INTEGER),
    unit: steps.find((step) => step.type === 'metadata')?.metadata?.unit ?? '',
    whole: steps.some((step) => step.type === 'integer'),
    nullable: isNullable(found),
  };
}

function isNullable(schema: SchemaLike): boolean {
  if (schema.type === 'nullable') return true;
  return schema.type === 'optional' && isNullable(schema.wrapped as SchemaLike);
}

/** Of a choice from a few: what may be chosen at a path; undefined where it is not one. */
export function optionsAt(schema: SchemaLike, value: unknown, path: string): readonly unknown[] | undefined {
  const found = schemaAt(schema, value, path.split('.'));
  const inner = found && bare(found);
  return inner?.type === 'picklist' ? inner.options : undefined;
}
