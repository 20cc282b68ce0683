import { z } from 'zod';
import { meantField } from './ownWords';

/** One fault of a document: where it is and what is wrong, ready to be read. */
export interface DocumentIssue {
  readonly path: string;
  readonly message: string;
}

export function describeIssue(issue: z.core.$ZodIssue, schema?: z.ZodType): DocumentIssue {
  const path = `/${issue.path.map(String).join('/')}`;
  if (issue.code !== 'unrecognized_keys') return { path, message: issue.message };
  const known = schema ? fieldsOf(schema) : new Set<string>();
  const names = issue.keys.map((key) => {
    const meant = meantField(key, known);
    return meant === null ? key : `${key} (was “${meant}” meant?)`;
  });
  return { path, message: `has fields that are not part of the format: ${names.join(', ')}` };
}

const fields = new WeakMap<z.ZodType, ReadonlySet<string>>();

/** Every name of a field in a schema, however deep. */
function fieldsOf(schema: z.ZodType): ReadonlySet<string> {
  const known = fields.get(schema);
  if (known) return known;
  const names = new Set<string>();
  const walk = (part: z.ZodType): void => {
    if (part instanceof z.ZodObject)
      for (const [name, inner] of Object.entries(part.shape as Record<string, z.ZodType>)) {
        names.add(name);
        walk(inner);
      }
    else if (part instanceof z.ZodArray) walk(part.element as z.ZodType);
    else if (part instanceof z.ZodUnion) part.options.forEach((option) => walk(option as z.ZodType));
    else if (part instanceof z.ZodOptional || part instanceof z.ZodDefault || part instanceof z.ZodPrefault)
      walk(part.def.innerType as z.ZodType);
  };
  walk(schema);
  fields.set(schema, names);
  return names;
}
