import { z } from 'zod';
import { migrate } from './migrations';
import { type Design, DESIGN_FORMAT, DESIGN_VERSION, designSchema } from './schema/design';

/** One fault of a file: where it is and what is wrong, ready to be read. */
export interface DocumentIssue {
  readonly path: string;
  readonly message: string;
}

export type ReadResult =
  | { readonly ok: true; readonly design: Design; readonly migratedFrom: number | null }
  | { readonly ok: false; readonly issues: readonly DocumentIssue[] };

const refuse = (path: string, message: string): ReadResult => ({
  ok: false,
  issues: [{ path, message }],
});

/** Reads a design from text. Nothing is half read: either the whole document is valid or none of it is taken. */
export function readDesignText(text: string): ReadResult {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return refuse('/', `This is not a JSON file (${detail}). Choose a design that was exported as JSON.`);
  }
  return readDesign(raw);
}

/** Checks a parsed value, migrating older versions first. */
export function readDesign(raw: unknown): ReadResult {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return refuse('/', 'The file holds no design: a JSON object is expected.');
  }
  const { format, version } = raw as { format?: unknown; version?: unknown };
  if (format !== DESIGN_FORMAT) {
    return refuse('/format', `must be "${DESIGN_FORMAT}": this file is something else.`);
  }
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse('/version', 'must be a whole number from 1 on.');
  }
  if (version > DESIGN_VERSION) {
    return refuse(
      '/version',
      `is ${version}, but this program reads versions up to ${DESIGN_VERSION}. Open it with a newer Inclinar; nothing was changed.`,
    );
  }
  const parsed = designSchema.safeParse(migrate(raw as Record<string, unknown>, version));
  if (!parsed.success) return { ok: false, issues: parsed.error.issues.map(describeIssue) };
  return { ok: true, design: parsed.data, migratedFrom: version < DESIGN_VERSION ? version : null };
}

function describeIssue(issue: z.core.$ZodIssue): DocumentIssue {
  const path = `/${issue.path.map(String).join('/')}`;
  if (issue.code === 'unrecognized_keys') {
    return {
      path,
      message: `has fields that are not part of the format: ${issue.keys.join(', ')}`,
    };
  }
  return { path, message: issue.message };
}

/** JSON Schema of the design document as it may be written (defaults left out). */
export function designJsonSchema(): unknown {
  return z.toJSONSchema(designSchema, { io: 'input', target: 'draft-2020-12' });
}
