/** The browser's storage after a first visit, with the fleet in it and every group of inputs open. */
export const SEEDED = '.cache/browser-seeded.json';
