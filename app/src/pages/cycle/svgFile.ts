/** What a drawing looks like is in the page's style sheet: in a file of its own it stands on each line. */
const LOOKS = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-size',
  'font-weight',
  'opacity',
  'text-anchor',
];

/** A drawing of the page as a file that any program shows. */
export function svgFile(id: string): string {
  const drawn = document.getElementById(id);
  if (!drawn) return '';
  const copy = drawn.cloneNode(true) as SVGElement;
  const [from, to] = [
    [drawn, ...drawn.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ];
  to.forEach((one, i) => {
    const style = getComputedStyle(from[i] as Element);
    for (const look of LOOKS) one.setAttribute(look, style.getPropertyValue(look));
    one.removeAttribute('class');
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', 'sans-serif');
  return new XMLSerializer().serializeToString(copy);
}
