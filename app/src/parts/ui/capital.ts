/** The same words with a capital in front. @example capital('tray held back') // 'Tray held back' */
export const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);
