import { download } from './download';

/** Properties of the style sheet that a drawing uses; outside of the page they have to stand in it. */
const OWN = /var\((--[\w-]+)/g;
/** What the classes of a drawing set, as attributes. */
const STYLED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-size',
  'font-weight',
  'font-family',
  'opacity',
] as const;

/**
 * A drawing of the page as a file of its own: colours and letters as they are seen now, without what is there to be
 * pressed.
 */
function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg, copy].map((root) => [root, ...root.querySelectorAll('*')]);
  const page = getComputedStyle(document.documentElement);
  from!.forEach((element, i) => {
    const target = to![i]!;
    const seen = getComputedStyle(element);
    for (const key of STYLED) if (seen.getPropertyValue(key)) target.setAttribute(key, seen.getPropertyValue(key));
    for (const name of ['class', 'tabindex', 'role', 'style']) target.removeAttribute(name);
    for (const { name, value } of [...target.attributes])
      if (value.includes('var('))
        target.setAttribute(
          name,
          value.replace(OWN, (_, key: string) => page.getPropertyValue(key).trim()).replace(/\)$/, ''),
        );
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}

export const saveSvg = (name: string, svg: SVGSVGElement): void =>
  download(`${name}.svg`, new Blob([svgText(svg)], { type: 'image/svg+xml' }));
