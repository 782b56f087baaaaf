/** Words as a sentence or a label begins: with a capital. */
export const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
