import type { LetterPart } from '@loose-pulley/core/views/handBack';

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);

const STYLE =
  'body{font:17px/1.5 system-ui,sans-serif;max-width:38em;margin:2em auto;padding:0 1em;color:#1d1f1e;background:#fff}' +
  'h1{font-size:1.4em;border-bottom:2px solid}h2{font-size:1.05em;margin:1.4em 0 .2em}p{margin:.2em 0}.sign{margin-top:4em;max-width:20em;border-top:1px solid;padding-top:.2em;font-size:.85em}';

/** The letter as one page that opens anywhere, by itself: nothing is fetched. */
export function letterFile(title: string, parts: readonly LetterPart[], bench: string, day: string): string {
  const body = parts
    .map(
      ({ heading, sentences }) =>
        `<h2>${escaped(heading)}</h2>${sentences.map(({ text }) => `<p>${escaped(text)}</p>`).join('')}`,
    )
    .join('\n');
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title><style>${STYLE}</style></head>
<body><h1>${escaped(title)}</h1><p>${escaped([bench, day].filter((words) => words !== '').join(', '))}</p>
${body}
<p class="sign">${escaped(bench || 'signed')}</p>
</body></html>
`;
}
