import { z } from 'zod';
import { describeIssue, type DocumentIssue } from './issue';
import { textFault, valueFault } from './boundsOfInput';
import { migrate } from './migrations/migrations';
import { type Records, recordsSchema } from './records/recordKinds';
import { type Design, DESIGN_FORMAT, DESIGN_VERSION, designSchema } from './schema/design';

export type { DocumentIssue } from './issue';

export type ReadResult =
  | {
      readonly ok: true;
      readonly design: Design;
      /** What happened to it, as it lay beside it in the file. */
      readonly records: Records;
      readonly migratedFrom: number | null;
    }
  | { readonly ok: false; readonly issues: readonly DocumentIssue[] };

const refuse = (path: string, message: string): ReadResult => ({
  ok: false,
  issues: [{ path, message }],
});

/** Reads a design from text. Nothing is half read: either the whole document is valid or none of it is taken. */
export function readDesignText(text: string): ReadResult {
  const fault = textFault(text);
  if (fault) return refuse(fault.path, fault.message);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return refuse('/', `This is not a JSON file${whereTorn(text, error)}. Choose a design that was exported as JSON.`);
  }
  return readDesign(raw);
}

/** Where a text stops being JSON, as far as the parser tells. */
function whereTorn(text: string, error: unknown): string {
  const message = error instanceof Error ? error.message : '';
  if (/end of JSON/i.test(message)) return ': it breaks off at its end';
  const at = /position (\d+)/.exec(message)?.[1];
  return at === undefined ? '' : `: it is torn on line ${text.slice(0, Number(at)).split('\n').length}`;
}

/** Checks a parsed value, migrating older versions first. */
export function readDesign(raw: unknown): ReadResult {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return refuse('/', 'The file holds no design: a JSON object is expected.');
  }
  const fault = valueFault(raw);
  if (fault) return refuse(fault.path, fault.message);
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
  const { records: beside, ...drawing } = migrate(raw as Record<string, unknown>, version);
  const parsed = designSchema.safeParse(drawing);
  const records = recordsSchema.safeParse(beside ?? {});
  if (parsed.success && records.success) {
    const migratedFrom = version < DESIGN_VERSION ? version : null;
    return { ok: true, design: parsed.data, records: records.data, migratedFrom };
  }
  return {
    ok: false,
    issues: [
      ...(parsed.error?.issues ?? []).map((issue) => describeIssue(issue, designSchema)),
      ...(records.error?.issues ?? []).map((issue) =>
        describeIssue({ ...issue, path: ['records', ...issue.path] }, recordsSchema),
      ),
    ],
  };
}

/** JSON Schema of the design document as it may be written (defaults left out). */
export function designJsonSchema(): unknown {
  return z.toJSONSchema(
    designSchema.safeExtend({ records: recordsSchema.optional() }).meta(designSchema.meta() ?? {}),
    {
      io: 'input',
      target: 'draft-2020-12',
    },
  );
}
