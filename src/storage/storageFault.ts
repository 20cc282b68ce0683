/** Why the browser's storage did not take or give something, and what helps, as the rest of a sentence. */
export function storageFault(error: unknown): string {
  const names = namesOf(error);
  if (names.some((name) => /quota/i.test(name)))
    return 'the browser’s storage is full. Export designs and remove them, or free space on the disk';
  if (names.includes('VersionError')) return 'another version of Inclinar has changed the storage. Load the page again';
  if (names.some((name) => name === 'InvalidStateError' || name.startsWith('DatabaseClosed')))
    return 'the browser closed its storage. Load the page again';
  return error instanceof Error && error.message !== '' ? error.message : String(error);
}

/** Names of an error and of what lies within it: an aborted transaction hides the cause. */
function namesOf(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return [];
  const { name, inner } = error as { name?: unknown; inner?: unknown };
  return [...(typeof name === 'string' ? [name] : []), ...namesOf(inner)];
}
