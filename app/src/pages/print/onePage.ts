import { escaped } from '../../parts/ui/escaped';

/** Every rule of the app's own styles but its fonts, which a lone page cannot fetch. */
const styles = (): string =>
  [...document.styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .filter((rule) => !(rule instanceof CSSFontFaceRule))
    .map(({ cssText }) => cssText)
    .join('\n')
    .replace(/<\/style/gi, '');

/** A picture as an address that carries it. */
function carried(image: HTMLImageElement): string {
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth;
  canvas.height = image.naturalHeight;
  canvas.getContext('2d')?.drawImage(image, 0, 0);
  return canvas.toDataURL('image/jpeg', 0.8);
}

/** What is on paper as one page that opens anywhere, by itself: its styles and pictures are in it, nothing is fetched. */
export function onePage(title: string, article: HTMLElement): string {
  const copy = article.cloneNode(true) as HTMLElement;
  // What is on screen only stays there; what is pressed there is a line on paper.
  copy.querySelectorAll('.print\\:hidden').forEach((element) => element.remove());
  copy.querySelectorAll('button').forEach((button) => {
    const line = document.createElement('p');
    line.append(...button.childNodes);
    button.replaceWith(line);
  });
  const images = article.querySelectorAll('img');
  copy.querySelectorAll('img').forEach((image, index) => {
    const original = images[index];
    if (original?.complete && original.naturalWidth > 0) image.src = carried(original);
    else image.remove();
  });
  return `<!doctype html>
<html lang="en" data-theme="paper"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title><style>${styles()}</style></head>
<body>${copy.outerHTML}</body></html>
`;
}
