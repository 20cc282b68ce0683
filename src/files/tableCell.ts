/** A text that begins so is taken for a formula by spreadsheets; an apostrophe before it makes it a text. */
const FORMULA = /^(?='*[=+\-@\t\r])/;

/** A text as it goes into a table, so that no spreadsheet computes it. */
export const escapedCell = (text: string): string => text.replace(FORMULA, "'");

/** The text as it was before it was escaped. */
export const plainCell = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
