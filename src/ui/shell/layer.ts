/** Where menus and notes that lie over the page are put: a landmark of its own, since everything on a page belongs to one. */
export function layer(): HTMLElement {
  const known = document.getElementById('layer');
  if (known) return known;
  const made = document.createElement('div');
  made.id = 'layer';
  made.setAttribute('role', 'region');
  made.setAttribute('aria-label', 'Over the page');
  document.body.append(made);
  return made;
}
