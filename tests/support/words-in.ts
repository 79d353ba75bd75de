/** What a reader sees of markup: its words, without tags and styles. */
export const wordsIn = (markup: string) =>
  markup
    .replace(/<style[^>]*>.*?<\/style>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
