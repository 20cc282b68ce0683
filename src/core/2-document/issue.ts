import type { z } from 'zod';

/** One fault of a document: where it is and what is wrong, ready to be read. */
export interface DocumentIssue {
  readonly path: string;
  readonly message: string;
}

export function describeIssue(issue: z.core.$ZodIssue): DocumentIssue {
  const path = `/${issue.path.map(String).join('/')}`;
  if (issue.code === 'unrecognized_keys') {
    return { path, message: `has fields that are not part of the format: ${issue.keys.join(', ')}` };
  }
  return { path, message: issue.message };
}
