const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Words that stay words in HTML. @example escaped('a < b') // 'a &lt; b' */
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => SIGNS[sign] ?? sign);
