import { readFileSync } from 'node:fs';

/** Ends with exit status 2, the fault on standard error. */
export function refuse(lines: readonly string[]): never {
  process.stderr.write(`${lines.join('\n')}\n`);
  process.exit(2);
}

/** The text of a file, or the end with why it cannot be read. */
export function readOrRefuse(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    return refuse([
      `${path}: cannot be read (${error instanceof Error ? error.message : String(error)}). Give the path of a design document.`,
    ]);
  }
}

/** A number between limits, or the end. */
export function numberOf(name: string, text: string, least: number, most: number): number {
  const value = Number(text);
  return text.trim() !== '' && value >= least && value <= most
    ? value
    : refuse([`--${name} ${text}: give a number from ${least} to ${most}.`]);
}
