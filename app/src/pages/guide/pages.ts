/* The guide is written once, in docs/guide, a file a page; its pictures lie beside it. */

const texts = import.meta.glob<string>('../../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const drawings = import.meta.glob<string>('../../../../docs/guide/drawings/*.svg', {
  query: '?url',
  import: 'default',
  eager: true,
});
const shots = import.meta.glob<string>(
  '../../../../docs/screenshots/{takein,find,strip,clean,measure,size,rebuild,prove,handback,drawer,orders,day}.png',
  { query: '?url', import: 'default', eager: true },
);

const fileOf = (path: string): string => path.split('/').at(-1) ?? '';
const byFile = (all: Readonly<Record<string, string>>): ReadonlyMap<string, string> =>
  new Map(Object.entries(all).map(([path, value]) => [fileOf(path), value]));

const pictures = new Map([...byFile(drawings), ...byFile(shots)]);

/** A page of the guide: its address, its title, and its text as Markdown. */
export interface GuidePageText {
  readonly id: string;
  readonly title: string;
  readonly text: string;
}

/** Every page, in the order of the numbers that their files begin with. */
export const GUIDE_PAGES: readonly GuidePageText[] = [...byFile(texts)]
  .map(([file, text]) => ({ file, text }))
  .sort((a, b) => parseInt(a.file, 10) - parseInt(b.file, 10))
  .map(({ file, text }) => ({
    id: guideId(file),
    title: /^# (.+)$/m.exec(text)?.[1] ?? file,
    text: text.replace(/^# .+\n/, ''),
  }));

/** `3-i-have-only.md` is the page `i-have-only`. */
function guideId(file: string): string {
  return file.replace(/^\d+-/, '').replace(/\.md$/, '');
}

/** Where a link of the guide leads in the app; undefined for what is in the docs alone. */
export const guideLink = (href: string): string | undefined => {
  const file = fileOf(href.split('#')[0] ?? '');
  return GUIDE_PAGES.some(({ id }) => id === guideId(file)) ? `/guide/${guideId(file)}` : undefined;
};

/** Where a picture of the guide lies in the app. */
export const guidePicture = (src: string): string | undefined => pictures.get(fileOf(src));
