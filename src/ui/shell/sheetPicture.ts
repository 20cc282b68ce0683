import { downloadFile } from './download';

/** What a browser works out of its own style sheet and a picture by itself has to say. */
const STYLED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-size',
  'font-weight',
  'text-anchor',
  'visibility',
  'display',
] as const;

/** Fonts for programs that have not those of the app. */
const FONTS = "'IBM Plex Sans Condensed', 'Liberation Sans Narrow', Arial, sans-serif";

/** The drawing of a sheet: the largest picture on it; null where there is none. */
export function pictureOn(sheet: ParentNode): SVGSVGElement | null {
  const area = (picture: Element) => {
    const { width, height } = picture.getBoundingClientRect();
    return width * height;
  };
  return [...sheet.querySelectorAll('svg')].reduce<SVGSVGElement | null>(
    (largest, one) => (largest === null || area(one) > area(largest) ? one : largest),
    null,
  );
}

/** A drawing as a file of its own (SVG 1.1): colours and letters as they are seen, on the colour of the paper. */
export function pictureFile(picture: SVGSVGElement): string {
  const { width, height } = picture.getBoundingClientRect();
  const copy = picture.cloneNode(true) as SVGSVGElement;
  const copies = [copy, ...copy.querySelectorAll('*')];
  [picture, ...picture.querySelectorAll('*')].forEach((element, index) => {
    const style = getComputedStyle(element);
    const target = copies[index]!;
    for (const name of STYLED) {
      const value = style.getPropertyValue(name);
      if (value) target.setAttribute(name, value);
    }
    target.removeAttribute('class');
    target.removeAttribute('style');
  });
  // What only catches the pointer or is not seen is no part of a picture.
  for (const hidden of copy.querySelectorAll('[display="none"], foreignObject')) hidden.remove();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  if (!copy.hasAttribute('viewBox')) copy.setAttribute('viewBox', `0 0 ${width} ${height}`);
  copy.setAttribute('font-family', FONTS);
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', getComputedStyle(document.body).backgroundColor);
  copy.prepend(ground);
  return new XMLSerializer().serializeToString(copy);
}

/** Saves the drawing of the open stage; false where there is none. */
export function savePicture(name: string, stage: string): boolean {
  const sheet = document.querySelector('[data-testid=sheet]');
  const picture = sheet && pictureOn(sheet);
  if (!picture) return false;
  downloadFile({
    name: `${name} ${stage.toLowerCase()}.svg`,
    parts: [pictureFile(picture)],
    type: 'image/svg+xml',
  });
  return true;
}
