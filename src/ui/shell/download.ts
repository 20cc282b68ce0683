/** Hands a file to the browser to be saved. */
export function downloadFile({
  name,
  parts,
  type,
}: {
  readonly name: string;
  readonly parts: BlobPart[];
  readonly type: string;
}): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob(parts, { type }));
  link.download = name;
  link.click();
  // Saving begins after this turn: the address must live until then.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
